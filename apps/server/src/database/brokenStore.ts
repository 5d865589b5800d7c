/** The files of a database can't be opened. */
export class BrokenStore extends Error {
  /**
   * @param folder - the database's own folder
   * @param reason - what PostgreSQL says, without its time and level
   */
  constructor(
    readonly folder: string,
    readonly reason: string,
    cause: unknown,
  ) {
    super(`The database in ${folder} can’t be opened: ${reason}`, { cause });
    this.name = 'BrokenStore';
  }
}

/** What PostgreSQL has printed while it started; the last complaint is why it ended. */
export class StartLog {
  private readonly lines: string[] = [];

  readonly add = (line: string): void => {
    this.lines.push(line);
    if (this.lines.length > 40) this.lines.shift();
  };

  /** Why it ended: the detail of the last fatal line if there is one, else the line. */
  reason(error: unknown): string {
    const said = (level: string) =>
      this.lines
        .findLast((line) => line.includes(` ${level}: `))
        ?.split(`${level}: `)[1]
        ?.trim();
    const fatal = said('PANIC') ?? said('FATAL');
    if (fatal === undefined) return error instanceof Error ? error.message : String(error);
    const detail = said('DETAIL');
    return detail === undefined ? fatal : `${fatal} (${detail.replace(/\.$/, '')})`;
  }
}
