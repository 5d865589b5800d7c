/** First bytes of a file of binary COPY, and what follows them: no flags, no extension. */
const HEAD = Buffer.concat([Buffer.from('PGCOPY\n\xff\r\n\0', 'latin1'), Buffer.alloc(8)]);
const END = Buffer.from([0xff, 0xff]);

/**
 * A row as a file of PostgreSQL's binary COPY. Bytes that go in as a parameter become text, which takes seconds for a large picture.
 *
 * @param values - in the order of the columns, in PostgreSQL's binary form
 */
export function copyFile(values: readonly Uint8Array[]): Blob {
  const count = Buffer.alloc(2);
  count.writeInt16BE(values.length);
  const parts = values.flatMap((value) => {
    const length = Buffer.alloc(4);
    length.writeInt32BE(value.length);
    return [length, value];
  });
  return new Blob([HEAD, count, ...parts, END].map((part) => new Uint8Array(part)));
}

/** The only value of the only row of such a file; undefined if there is no row. */
export function copiedValue(file: Uint8Array): Buffer | undefined {
  const bytes = Buffer.from(file.buffer, file.byteOffset, file.byteLength);
  if (bytes.readInt16BE(HEAD.length) < 0) return undefined;
  const from = HEAD.length + 2 + 4;
  return bytes.subarray(from, from + bytes.readInt32BE(from - 4));
}

/** A whole number of four bytes, as a column of type integer has it. */
export function int4(value: number): Buffer {
  const bytes = Buffer.alloc(4);
  bytes.writeInt32BE(value);
  return bytes;
}
