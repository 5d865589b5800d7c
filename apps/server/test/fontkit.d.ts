declare module 'fontkit' {
  /** Reads a font file. */
  export function create(file: Uint8Array): { hasGlyphForCodePoint(code: number): boolean };
}
