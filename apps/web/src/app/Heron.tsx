/** The mark: a heron drawn in one line, standing in still water. */
export function Heron({ size = 34 }: { readonly size?: number }) {
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 32 32"
      fill="none"
      stroke="var(--lantern)"
      strokeWidth="1.6"
      strokeLinecap="round"
      strokeLinejoin="round"
      aria-hidden="true"
    >
      <path d="M3 7.5 12.5 5c3-.8 4.8 1.6 3.6 4-1.3 2.500-4 3.600-3.300 7 .7 3.200 4.600 4 8.200 3.400 2.800-.5 5-1.700 7.500-2.400-2.500 3.500-6.500 5.500-11 5.700M17 22.700V30M17 30h3" />
    </svg>
  );
}
