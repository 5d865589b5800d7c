type Json = Readonly<Record<string, unknown>>;

/** Fields of earlier forms by their present names. */
const NEW_NAMES: Readonly<Record<string, string>> = {
  settings: 'gear',
  missed: 'markMisses',
  wobbles: 'focusChecks',
  checkedTimes: 'checkMagnification',
  predictedRate: 'predictedKeepRate',
};

/**
 * Upgrades a take from an earlier form. Missing values become "not said". An invalid take is returned unchanged: `checkTake`
 * reports it.
 */
export function upgradeTake(saved: unknown): unknown {
  if (!isRecord(saved)) return saved;
  const take = Object.fromEntries(
    Object.entries(saved).map(([key, value]) => {
      const name = NEW_NAMES[key] ?? key;
      return [name, upgradeTakeField(name, value)];
    }),
  );
  if (!isRecord(take['gear']) || !Array.isArray(take['hits'])) return saved;
  return { ...NOT_SAID, ...measuredOf(take), ...take };
}

/** Fields that an earlier form had not. */
const NOT_SAID = {
  predictedKeepRate: null,
  zoneDepthMm: null,
  startTimecode: '',
  usable: null,
  repairs: [],
  findings: [],
  isNoGood: false,
  alternate: null,
  ringFrom: 'unknown',
  timecodeFrom: 'unknown',
  clip: '',
  checkConfidence: null,
  earlierLooks: [],
  recoveries: [],
};

/** An earlier form kept what the track showed in the fields of what was said. */
function measuredOf({ hits, focus, usable, measured }: Json): { readonly measured: unknown } {
  if (measured !== undefined) return { measured };
  const isMeasured = (hits as readonly unknown[]).some((hit) => isRecord(hit) && typeof hit['measured'] === 'string');
  return { measured: isMeasured && typeof focus === 'string' ? { focus, usable: Array.isArray(usable) ? usable : [] } : null };
}

/** Upgrades the value of one field of a take. A value of the wrong type is returned unchanged. */
export function upgradeTakeField(name: string, value: unknown): unknown {
  if (name === 'gear') return isRecord(value) ? { puller: '', laterMethods: [], ...value } : value;
  if (!Array.isArray(value)) return value;
  const items = value as readonly unknown[];
  if (name === 'hits')
    return items.map((hit) =>
      isRecord(hit) ? withSaid({ offDeg: null, landsLateS: null, turn: null, ...withPullId(hit) }) : hit,
    );
  if (name === 'cues') return items.map((cue) => (isRecord(cue) ? withPullId(cue) : cue));
  if (name === 'repairs') return items.map((repair) => (repair === 'wobble-cut' ? 'focus-check-cut' : repair));
  return value;
}

/** One result was for both: with a figure it came from the track, without one from a person. */
function withSaid({ hit, ...rest }: Json): Json {
  if (hit === undefined) return rest;
  const isMeasured = ['lateS', 'landsLateS', 'offDeg'].some((name) => typeof rest[name] === 'number');
  return !isMeasured ? { ...rest, said: hit, measured: null } : { ...rest, said: null, measured: hit };
}

function withPullId(item: Json): Json {
  const { moveId, ...rest } = item;
  return moveId === undefined ? item : { pullId: moveId, ...rest };
}

function isRecord(value: unknown): value is Json {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}
