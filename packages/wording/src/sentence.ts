/** Part of a sentence with its tone: the page colours it. The meaning never depends on colour alone. */
export interface SentencePart {
  readonly tone: 'sharp' | 'soft' | 'edge' | 'plain';
  readonly text: string;
  /** Time the part refers to, if any */
  readonly atS?: number;
}

/** All parts as one text. */
export function textOf(parts: readonly SentencePart[]): string {
  return parts.map(({ text }) => text).join(' ');
}
