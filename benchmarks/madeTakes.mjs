import { asJudged, focusTrack, newTake, packTrack, ringOf } from '@still-heron/core';
import { call } from './server.mjs';

const HZ = 100;
const PULLERS = ['Bohdan', 'Ines'];

/** Reproducible numbers between -1 and 1, so that generated takes are equal in every run. */
function* numbers() {
  for (let seed = 7; ; seed = (seed * 1103515245 + 12345) % 2147483648) yield seed / 1073741824 - 1;
}

/** Logs generated takes of every shot with a focus track: slightly late and slightly off. */
export async function logTakes(address, shots) {
  const some = numbers();
  const next = () => some.next().value;
  let rolledMs = Date.parse('2026-03-02T08:30:00Z');
  for (const [index, { id, plan }] of shots.entries()) {
    const line = focusTrack(plan, ringOf(plan.optics.lens));
    if (!line) continue;
    rolledMs += 5 * 3600e3;
    for (let number = 1; number <= 3 + (index % 3); number++) {
      rolledMs += 7 * 60e3;
      const take = madeTake(plan, line, next, number);
      const gear = { ...take.gear, puller: PULLERS[index % 2] };
      await call(address, 'POST', `shots/${id}/takes`, {
        rolledAt: new Date(rolledMs).toISOString(),
        take: { ...take, gear, isCircled: number === 3, note: number === 2 ? 'her hand comes later' : '' },
      });
    }
  }
}

function madeTake(plan, line, next, number) {
  const { pulls } = plan.focusTrack;
  const hands = pulls.map(() => ({ lateS: Math.max(0, 0.1 + 0.15 * next()), offDeg: 0.6 * next() }));
  const ringDeg = Float64Array.from({ length: Math.floor(plan.durationS * HZ) + 1 }, (_, k) => {
    const hand = hands[pulls.findLastIndex(({ startS }) => k / HZ >= startS)] ?? { lateS: 0, offDeg: 0 };
    return line.ringDegAt(Math.max(0, k / HZ - hand.lateS)) + hand.offDeg;
  });
  return asJudged(plan, {
    ...newTake(plan, 1),
    predictedKeepRate: 0.6 + 0.3 * next(),
    performance: next() > -0.4 ? 'good' : 'fair',
    startTimecode: `1${number}:20:00:00`,
    track: packTrack({ hz: HZ, ringDeg }),
    cues: pulls.filter(({ trigger }) => trigger !== 'clock').map(({ id, startS }) => ({ pullId: id, timeS: startS })),
  });
}
