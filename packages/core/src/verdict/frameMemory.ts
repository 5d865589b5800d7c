/** Columns of a track: six of its samples, and four inside. */
const TRACK_COLUMNS = 10;
/** Columns of a subject, beside the bytes that say where it is sharp. */
const SUBJECT_COLUMNS = 3;

/**
 * Memory of one verdict: a track and its subjects, frame by frame. All columns share it, because making many arrays takes longer than
 * filling them.
 */
export class FrameMemory {
  readonly #buffer: ArrayBuffer;
  #floatsAt = 0;
  #bytesAt: number;

  constructor(
    readonly frameCount: number,
    subjectCount: number,
  ) {
    this.#bytesAt = 8 * frameCount * (TRACK_COLUMNS + SUBJECT_COLUMNS * subjectCount);
    this.#buffer = new ArrayBuffer(this.#bytesAt + frameCount * subjectCount);
  }

  /** The next column of numbers. @param like - a column whose values are copied; zeros without one */
  floats(like?: Float64Array): Float64Array {
    const column = new Float64Array(this.#buffer, this.#floatsAt, this.frameCount);
    this.#floatsAt += column.byteLength;
    if (like) column.set(like);
    return column;
  }

  /** The next column of bytes. */
  bytes(like?: Uint8Array): Uint8Array {
    const column = new Uint8Array(this.#buffer, this.#bytesAt, this.frameCount);
    this.#bytesAt += column.byteLength;
    if (like) column.set(like);
    return column;
  }
}
