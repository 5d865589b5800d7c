/**
 * Reads an OpenTimelineIO file as its published schemas define it, and lists what an application would refuse or misread. It knows nothing of the
 * program that wrote it.
 */
export function otioProblems(value: unknown): string[] {
  const problems: string[] = [];
  checkObject(value, ['Timeline.1'], '', problems);
  if (problems.length === 0) checkTimes(value as Otio, problems);
  return problems;
}

/** Schemas of every object in a file, in order. */
export function otioSchemas(value: unknown): string[] {
  if (typeof value !== 'object' || value === null) return [];
  const schema = (value as Otio).OTIO_SCHEMA;
  const inside = Object.values(value).flatMap(otioSchemas);
  return typeof schema === 'string' ? [schema, ...inside] : inside;
}

/** An object of a file; its fields depend on its schema. */
interface Otio {
  readonly OTIO_SCHEMA: string;
  readonly [field: string]: unknown;
}

type Check = (value: unknown, path: string, problems: string[]) => void;

const say = (isRight: boolean, what: string, path: string, problems: string[]) => {
  if (!isRight) problems.push(`${path}: ${what}`);
};
const text: Check = (value, path, problems) => say(typeof value === 'string', 'no text', path, problems);
const flag: Check = (value, path, problems) => say(typeof value === 'boolean', 'not true or false', path, problems);
const number: Check = (value, path, problems) =>
  say(typeof value === 'number' && Number.isFinite(value), 'no number', path, problems);
const dictionary: Check = (value, path, problems) =>
  say(typeof value === 'object' && value !== null && !Array.isArray(value), 'no dictionary', path, problems);
const nothingOr =
  (check: Check): Check =>
  (value, path, problems) => {
    if (value !== null) check(value, path, problems);
  };
const oneOf =
  (...schemas: string[]): Check =>
  (value, path, problems) =>
    checkObject(value, schemas, path, problems);
const listOf =
  (...schemas: string[]): Check =>
  (value, path, problems) => {
    if (!Array.isArray(value)) return void problems.push(`${path}: no list`);
    value.forEach((item, at) => checkObject(item, schemas, `${path}[${at}]`, problems));
  };
const word =
  (...words: string[]): Check =>
  (value, path, problems) =>
    say(words.includes(String(value)), `“${String(value)}” is none of ${words.join(', ')}`, path, problems);
const references: Check = (value, path, problems) => {
  dictionary(value, path, problems);
  for (const [key, item] of Object.entries(value ?? {})) checkObject(item, ['MissingReference.1'], `${path}.${key}`, problems);
};

const COLOURS = ['PINK', 'RED', 'ORANGE', 'YELLOW', 'GREEN', 'CYAN', 'BLUE', 'PURPLE', 'MAGENTA', 'BLACK', 'WHITE'];
const NAMED = { name: text, metadata: dictionary };
const ITEM = {
  ...NAMED,
  source_range: nothingOr(oneOf('TimeRange.1')),
  effects: listOf('LinearTimeWarp.1'),
  markers: listOf('Marker.2'),
  enabled: flag,
};

/** Fields of each schema. */
const SCHEMAS: Readonly<Record<string, Readonly<Record<string, Check>>>> = {
  'Timeline.1': { ...NAMED, global_start_time: nothingOr(oneOf('RationalTime.1')), tracks: oneOf('Stack.1') },
  'Stack.1': { ...ITEM, children: listOf('Track.1', 'Clip.2', 'Stack.1') },
  'Track.1': { ...ITEM, kind: word('Video', 'Audio'), children: listOf('Clip.2', 'Stack.1') },
  'Clip.2': { ...ITEM, media_references: references, active_media_reference_key: text },
  'MissingReference.1': {
    ...NAMED,
    available_range: nothingOr(oneOf('TimeRange.1')),
    available_image_bounds: nothingOr(dictionary),
  },
  'Marker.2': { ...NAMED, color: word(...COLOURS), comment: text, marked_range: oneOf('TimeRange.1') },
  'LinearTimeWarp.1': { ...NAMED, effect_name: text, enabled: flag, time_scalar: number },
  'TimeRange.1': { start_time: oneOf('RationalTime.1'), duration: oneOf('RationalTime.1') },
  'RationalTime.1': { value: number, rate: number },
};

function checkObject(value: unknown, schemas: readonly string[], path: string, problems: string[]): void {
  const schema = (value as Otio | null)?.OTIO_SCHEMA;
  if (typeof schema !== 'string' || !schemas.includes(schema)) {
    problems.push(`${path}: ${String(schema)} where ${schemas.join(' or ')} must be`);
    return;
  }
  const fields = SCHEMAS[schema]!;
  for (const [name, check] of Object.entries(fields)) check((value as Otio)[name], `${path}.${name}`, problems);
  for (const name of Object.keys(value as Otio))
    say(name === 'OTIO_SCHEMA' || name in fields, `${schema} has no ${name}`, path, problems);
}

interface Range {
  readonly from: number;
  readonly to: number;
  readonly rate: number;
}

function rangeOf(value: unknown): Range {
  const { start_time: start, duration } = value as Record<string, { value: number; rate: number }>;
  return { from: start!.value, to: start!.value + duration!.value, rate: start!.rate };
}

/** Times of clips: within their media, at its rate, forwards, and at a speed that a clip can have. */
function checkTimes(value: Otio, problems: string[]): void {
  const all = [value, ...Object.values(value).flatMap(objectsIn)];
  for (const [at, one] of all.entries()) {
    const path = `object ${at}, ${one.OTIO_SCHEMA}`;
    if (one.OTIO_SCHEMA === 'TimeRange.1') {
      const { duration, start_time: start } = one as unknown as Record<string, { value: number; rate: number }>;
      say(start!.rate > 0 && start!.rate === duration!.rate, 'two rates, or none', path, problems);
      say(duration!.value >= 0, 'ends before it begins', path, problems);
    }
    if (one.OTIO_SCHEMA === 'LinearTimeWarp.1') say(one['time_scalar'] !== 0, 'stands still', path, problems);
    if (one.OTIO_SCHEMA !== 'Clip.2') continue;
    const { media_references: media, active_media_reference_key: key, markers, source_range: source } = one;
    const active = (media as Record<string, Otio>)[key as string];
    say(active !== undefined, 'its media is not there', path, problems);
    const available = rangeOf(active?.['available_range'] ?? source);
    const isWithin = (range: Range) => range.from >= available.from && range.to <= available.to && range.rate === available.rate;
    if (source) say(isWithin(rangeOf(source)), 'lies outside its media', path, problems);
    for (const marker of markers as Otio[])
      say(isWithin(rangeOf(marker['marked_range'])), `marker “${String(marker['name'])}” lies outside its media`, path, problems);
  }
}

function objectsIn(value: unknown): Otio[] {
  if (typeof value !== 'object' || value === null) return [];
  const inside = Object.values(value).flatMap(objectsIn);
  return 'OTIO_SCHEMA' in value ? [value as Otio, ...inside] : inside;
}
