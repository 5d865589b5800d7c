import { Injectable } from '@nestjs/common';
import { PLAN_LIMITS } from '@still-heron/core';
import type { RollCueMessage, RollView } from '@still-heron/contract';

/** A roll that nobody ends is dropped after this time. */
const MAX_ROLL_MS = 3 * 3600 * 1000;
/** Rolls of which it is known that they were ended: a device that was away meanwhile may send one again. */
const MAX_ENDED = 500;

/** Current rolls, one per shot. In memory only: after a restart the rolling device sends its roll again. */
@Injectable()
export class RollService {
  private readonly running = new Map<string, RollView>();
  /** By shot: connection of the rolling device */
  private readonly lines = new Map<string, string>();
  private readonly ended = new Set<string>();

  of(shotId: string): RollView | null {
    const roll = this.running.get(shotId);
    if (roll && Date.now() - roll.startedAtMs > MAX_ROLL_MS) this.running.delete(shotId);
    return this.running.get(shotId) ?? null;
  }

  /** Starts a roll, or resumes one with its past events. @returns null if somebody has ended it meanwhile */
  start(roll: RollView, line: string): RollView | null {
    if (this.ended.has(roll.rollId)) return null;
    this.running.set(roll.shotId, roll);
    this.lines.set(roll.shotId, line);
    return roll;
  }

  /** @returns the shot of the roll; null if it has ended, or has as many cues as a shot can have pulls */
  cue({ rollId, pullId, timeS }: RollCueMessage): string | null {
    const roll = this.find(rollId);
    if (!roll || roll.cueEvents.length >= PLAN_LIMITS.moves.max) return null;
    this.running.set(roll.shotId, { ...roll, cueEvents: [...roll.cueEvents, { pullId, timeS }] });
    return roll.shotId;
  }

  /** @returns the shot of the roll; null if it is not known, or had ended already */
  end(rollId: string): string | null {
    this.ended.add(rollId);
    if (this.ended.size > MAX_ENDED) this.ended.delete(this.ended.values().next().value!);
    return this.drop(rollId);
  }

  /** Ends a roll whose device went away, and may still come back with it. @returns as `end` */
  drop(rollId: string): string | null {
    const roll = this.find(rollId);
    if (roll) this.running.delete(roll.shotId);
    return roll?.shotId ?? null;
  }

  /** @returns the shot of a roll under way; null if there is none */
  shotOf(rollId: string): string | null {
    return this.find(rollId)?.shotId ?? null;
  }

  /** The roll of a connection; null if there is none. */
  rollOfConnection(line: string): RollView | null {
    const [shotId] = [...this.lines].find(([, known]) => known === line) ?? [];
    return shotId === undefined ? null : this.of(shotId);
  }

  /** Whether a connection is that of a device that rolls, or that rolled last. */
  hasRolled(line: string): boolean {
    return [...this.lines.values()].includes(line);
  }

  private find(rollId: string): RollView | undefined {
    return [...this.running.values()].find((roll) => roll.rollId === rollId);
  }
}
