import { focusOf, hitOf, METHOD_DIVIDER, type Take, takeFigures, takeMethods } from '@still-heron/core';

/** Columns of a take's row, including the input of statistics and filters. */
export function columnsOf({ track, ...take }: Take) {
  const { gear, predictedKeepRate, isCircled } = take;
  const { isKept, isSimulated, isUsable, isRepaired, late, off, markMisses: missed, turns } = takeFigures(take);
  return {
    take,
    track,
    isCircled,
    focus: focusOf(take),
    isKept,
    isSimulated,
    faults: faultsOf(take),
    lens: gear.lens,
    stop: gear.stop,
    // takes of a shot in parts are counted apart from those of either method
    method: takeMethods(gear).join(METHOD_DIVIDER),
    puller: gear.puller,
    predictedKeepRate,
    isUsable,
    isRepaired,
    lateCount: late.count,
    lateSum: late.sum,
    lateSquares: late.squares,
    offCount: off.count,
    offSum: off.sum,
    offSquares: off.squares,
    missedCount: missed.count,
    missedSum: missed.sum,
    missedSquares: missed.squares,
    zoneDepthMm: take.zoneDepthMm,
    turnCount: turns.count,
    smoothSum: turns.smoothSum,
    settledCount: turns.settledCount,
    settlingSum: turns.settlingSum,
    pastZoneCount: turns.pastZoneCount,
    earlierLooks: take.earlierLooks.length,
  };
}

/** Faults at pulls and elsewhere, each once. */
function faultsOf({ hits, findings }: Omit<Take, 'track'>): string[] {
  const found = [...hits.flatMap((one) => hitOf(one) ?? []), ...findings.map((one) => one.found)];
  return [...new Set(found)].filter((fault) => fault !== 'hit' && fault !== 'fine');
}
