/** A state that is shown: listeners hear of changes, and of nothing else. */
export class ShownState<S extends object> {
  private readonly listeners = new Set<() => void>();

  constructor(private state: S) {}

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  readonly current = (): S => this.state;

  /** Tells the listeners, unless nothing has changed: a ring at rest is read a hundred times a second. */
  show(changes: Partial<S>): void {
    const names = Object.keys(changes) as (keyof S)[];
    if (names.every((name) => Object.is(changes[name], this.state[name]))) return;
    this.state = { ...this.state, ...changes };
    for (const listener of this.listeners) listener();
  }
}
