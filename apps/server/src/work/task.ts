/** What can be computed in another thread: input and result can be sent there and back. */
export interface Task<Input, Result> {
  /** Its name in both threads */
  readonly name: string;
  readonly run: (input: Input) => Result | Promise<Result>;
}
