/** Logo: a heron in one line, standing in still water. */
export function Logo({ size = 34 }: { readonly size?: number }) {
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 32 32"
      fill="none"
      stroke="var(--accent)"
      strokeWidth="1.6"
      strokeLinecap="round"
      strokeLinejoin="round"
      aria-hidden="true"
    >
      <path d="M3 7.5 12.5 5c3-.8 4.8 1.6 3.6 4-1.3 2.5-4 3.6-3.3 7 .7 3.2 4.6 4 8.2 3.4 2.8-.5 5-1.7 7.5-2.4-2.5 3.5-6.5 5.5-11 5.7M17 22.7V30M17 30h3" />
    </svg>
  );
}
