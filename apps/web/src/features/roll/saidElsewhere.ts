/**
 * What this device says of rolls of other devices. What the server can't hear is said again as soon as the roll is heard of again: by then its
 * own device is back.
 */
export class SaidElsewhere {
  private unsaid: { readonly rollId: string; readonly say: () => boolean }[] = [];
  private readonly ended = new Set<string>();

  /** @param say - returns whether the server was there to hear it */
  say(rollId: string, say: () => boolean): void {
    if (!say()) this.unsaid.push({ rollId, say });
  }

  /** Keeps that a roll was ended here. */
  end(rollId: string): void {
    this.ended.add(rollId);
  }

  hasEnded(rollId: string): boolean {
    return this.ended.has(rollId);
  }

  /** Says what could not be said before. */
  heardOf(rollId: string): void {
    const due = this.unsaid.filter((one) => one.rollId === rollId);
    this.unsaid = this.unsaid.filter((one) => one.rollId !== rollId);
    for (const { say } of due) this.say(rollId, say);
  }
}
