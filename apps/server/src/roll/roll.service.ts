import { Injectable } from '@nestjs/common';
import type { RollSetOff, RollView } from '@still-heron/contract';

/** A roll that nobody ended is forgotten after so long. */
const FORGOTTEN_MS = 3 * 3600 * 1000;

/** The rolls that run now, one of each shot. In memory alone: the device that rolls tells its own again when the server comes back. */
@Injectable()
export class RollService {
  private readonly running = new Map<string, RollView>();
  /** By shot, the line of the device that rolls */
  private readonly lines = new Map<string, string>();

  of(shotId: string): RollView | null {
    const roll = this.running.get(shotId);
    if (roll && Date.now() - roll.startedAtMs > FORGOTTEN_MS) this.running.delete(shotId);
    return this.running.get(shotId) ?? null;
  }

  /** Starts a roll, or takes one up again with everything it has been through. */
  start(roll: RollView, line: string): RollView {
    this.running.set(roll.shotId, roll);
    this.lines.set(roll.shotId, line);
    return roll;
  }

  /** @returns the shot of the roll; null where it is over */
  setOff({ rollId, moveId, timeS }: RollSetOff): string | null {
    const roll = this.find(rollId);
    if (!roll) return null;
    this.running.set(roll.shotId, { ...roll, setOffs: [...roll.setOffs, { moveId, timeS }] });
    return roll.shotId;
  }

  /** @returns the shot of the roll; null where it was over already */
  end(rollId: string): string | null {
    const roll = this.find(rollId);
    if (roll) this.running.delete(roll.shotId);
    return roll?.shotId ?? null;
  }

  /** The roll that is told over a line; null where none is. */
  toldOver(line: string): RollView | null {
    const [shotId] = [...this.lines].find(([, known]) => known === line) ?? [];
    return shotId === undefined ? null : this.of(shotId);
  }

  private find(rollId: string): RollView | undefined {
    return [...this.running.values()].find((roll) => roll.rollId === rollId);
  }
}
