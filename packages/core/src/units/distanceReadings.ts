import { MM_PER_FOOT, MM_PER_INCH, MM_PER_METRE, type UnitSystem } from './unitSystem.js';

/** One meaning of a typed distance, and the units it is meant in. */
export interface DistanceReading {
  readonly mm: number;
  readonly units: UnitSystem;
}

/** Meanings of a typed distance. It is clear if there is one, and nobody would mean another. */
export interface DistanceReadings {
  readonly isClear: boolean;
  readonly readings: readonly DistanceReading[];
}

/** A form in which distances are written, and what a text in this form can mean. */
interface Form {
  readonly pattern: RegExp;
  readonly read: (groups: readonly (string | undefined)[], bareUnit: UnitSystem) => Meaning;
}

/** Readings, and whether the text has to be asked about even where only one of them is possible. */
type Meaning = readonly DistanceReading[] | { readonly ask: readonly DistanceReading[] };

const NUMBER = String.raw`(\d+(?:[.,]\d+)*|[.,]\d+)`;
const FRACTION = String.raw`(\d+)\/(\d+)`;
const FOOT = String.raw`(?:'|ft\.?|feet|foot)`;
const INCH = String.raw`(?:"|in\.?|inch|inches)`;

const metres = (value: number): DistanceReading => ({ mm: value * MM_PER_METRE, units: 'metric' });
const millimetres = (mm: number): DistanceReading => ({ mm, units: 'metric' });
const feet = (whole: number, inches = 0): DistanceReading => ({
  mm: whole * MM_PER_FOOT + inches * MM_PER_INCH,
  units: 'imperial',
});

const MM_PER_UNIT: Readonly<Record<string, number>> = { mm: 1, cm: 10 };

/** Integers from here on are more likely smaller units than metres or feet. */
const LONG_BARE_NUMBER = 100;

const FORMS: readonly Form[] = [
  // 2.4m, 240cm, 20,000 mm
  {
    pattern: new RegExp(`^${NUMBER} ?(m|cm|mm|metres?|meters?)$`),
    read: ([number, unit]) => {
      const mmPer = MM_PER_UNIT[unit!] ?? MM_PER_METRE;
      return numbersOf(number!, unit === 'mm').map((value) => millimetres(value * mmPer));
    },
  },
  // 1 500 mm
  {
    pattern: /^(\d{1,3}(?: \d{3})+) ?(cm|mm)$/,
    read: ([groups, unit]) => [millimetres(Number(groups!.replaceAll(' ', '')) * (unit === 'cm' ? 10 : 1))],
  },
  // 2m 5cm, 2 m 40 cm, 2m400mm
  {
    pattern: /^(\d+) ?m(?:et(?:re|er)s?)? ?(\d+) ?(cm|mm)$/,
    read: ([whole, rest, unit]) => {
      const restMm = Number(rest) * (unit === 'cm' ? 10 : 1);
      return restMm < MM_PER_METRE ? [millimetres(Number(whole) * MM_PER_METRE + restMm)] : [];
    },
  },
  // 2m40, 2m05, 2m400; 2m4 is two metres forty, or two metres four
  {
    pattern: /^(\d+) ?m(?:et(?:re|er)s?)? ?(\d{1,3})$/,
    read: ([whole, rest]) => {
      const decimal = metres(Number(`${whole}.${rest}`));
      return rest!.length === 1 && rest !== '0' ? [decimal, metres(Number(`${whole}.0${rest}`))] : [decimal];
    },
  },
  // 7', 7.5ft, 1,500ft, 7 1/2 ft
  { pattern: new RegExp(`^${NUMBER} ?${FOOT}$`), read: ([number]) => numbersOf(number!).map((value) => feet(value)) },
  {
    pattern: new RegExp(`^(?:(\\d+) )?${FRACTION} ?${FOOT}$`),
    read: ([whole = '0', top, bottom]) => [feet(Number(whole) + Number(top) / Number(bottom))],
  },
  // 95in, 95 1/2", 1/2"
  { pattern: new RegExp(`^${NUMBER} ?${INCH}$`), read: ([number]) => numbersOf(number!).map((value) => feet(0, value)) },
  {
    pattern: new RegExp(`^(\\d+) ${FRACTION} ?${INCH}$`),
    read: ([whole, top, bottom]) => fractions(top!, bottom!, (inches) => feet(0, Number(whole) + inches)),
  },
  {
    pattern: new RegExp(`^${FRACTION} ?${INCH}$`),
    read: ([top, bottom]) => fractions(top!, bottom!, (inches) => feet(0, inches)),
  },
  // 7'11, 7 ft 11 in, 7'-11"
  {
    pattern: new RegExp(`^(\\d+) ?${FOOT} ?-?${NUMBER} ?(?:${INCH})?$`),
    read: ([whole, rest]) => inchesAfterFeet(whole!, numbersOf(rest!)),
  },
  // 7'11 1/2, 7'-11-1/2"
  {
    pattern: new RegExp(`^(\\d+) ?${FOOT} ?-?(\\d+)[ -]${FRACTION} ?(?:${INCH})?$`),
    read: ([whole, rest, top, bottom]) => inchesAfterFeet(whole!, [Number(rest) + Number(top) / Number(bottom)]),
  },
  // 7' 1/2"; 7' 11/2" is 7' 1 1/2", or eleven halves
  {
    pattern: new RegExp(`^(\\d+) ?${FOOT} ?-?${FRACTION} ?(?:${INCH})?$`),
    read: ([whole, top, bottom]) => fractions(top!, bottom!, (inches) => feet(Number(whole), inches), 12),
  },
  // 7-11 1/4, 7-11 1/4", 7-11"
  {
    pattern: new RegExp(`^(\\d+)-(\\d+) ${FRACTION} ?(?:${INCH})?$`),
    read: ([whole, rest, top, bottom]) => inchesAfterFeet(whole!, [Number(rest) + Number(top) / Number(bottom)]),
  },
  { pattern: new RegExp(`^(\\d+)-${NUMBER} ?${INCH}$`), read: ([whole, rest]) => inchesAfterFeet(whole!, numbersOf(rest!)) },
  // 10-1/2" is ten and a half inches, or ten feet and half an inch
  {
    pattern: new RegExp(`^(\\d+)-${FRACTION} ?(?:${INCH})?$`),
    read: ([whole, top, bottom]) => {
      const inches = Number(top) / Number(bottom);
      return [feet(0, Number(whole) + inches), ...inchesAfterFeet(whole!, [inches])];
    },
  },
  // 7-11 is seven feet eleven where feet are typed; where metres are, it is asked
  {
    pattern: /^(\d+)-(\d+(?:[.,]\d+)?)$/,
    read: ([whole, rest], bareUnit) => {
      const asFeet = inchesAfterFeet(whole!, numbersOf(rest!));
      if (bareUnit === 'imperial') return asFeet;
      return { ask: [...(/^\d+$/.test(rest!) ? [metres(Number(`${whole}.${rest}`))] : []), ...asFeet] };
    },
  },
  // 2 40, 7 11
  {
    pattern: /^(\d+) (\d{1,3})$/,
    read: ([whole, rest], bareUnit) => ({
      ask:
        bareUnit === 'metric' ? [metres(Number(`${whole}.${rest!.padStart(2, '0')}`))] : inchesAfterFeet(whole!, [Number(rest)]),
    }),
  },
  { pattern: new RegExp(`^${NUMBER}$`), read: ([number], bareUnit) => bareReadings(number!, bareUnit) },
];

/** @param given - tidied text */
export function distanceReadings(given: string, bareUnit: UnitSystem): DistanceReadings {
  for (const { pattern, read } of FORMS) {
    const match = pattern.exec(given);
    if (!match) continue;
    const meaning = read(match.slice(1), bareUnit);
    const mustAsk = 'ask' in meaning;
    const readings = distinct((mustAsk ? meaning.ask : meaning).filter(({ mm }) => Number.isFinite(mm)));
    return { isClear: !mustAsk && readings.length === 1, readings };
  }
  return { isClear: false, readings: [] };
}

/** A bare number: metres or feet. A long whole number is more likely millimetres, centimetres or inches. */
function bareReadings(number: string, bareUnit: UnitSystem): readonly DistanceReading[] {
  const values = numbersOf(number);
  const isLong = /^\d+$/.test(number) && Number(number) >= LONG_BARE_NUMBER;
  if (bareUnit === 'metric') {
    const smaller = isLong ? [millimetres(Number(number) * (Number(number) < 1000 ? 10 : 1))] : [];
    return [...smaller, ...values.map(metres)];
  }
  // 7.11 is often typed for 7' 11", and 711 too
  const inches = /^(\d+)\.?(10|11)$/.exec(number);
  const withInches = inches && (isLong || number.includes('.')) ? [feet(Number(inches[1]), Number(inches[2]))] : [];
  return [...withInches, ...(isLong ? [feet(0, Number(number))] : []), ...values.map((value) => feet(value))];
}

/**
 * What a number with separators can mean. A comma before exactly three digits is a decimal comma, or separates thousands; so is a
 * point in millimetres, because nobody types a thousandth of them.
 */
function numbersOf(text: string, isMm = false): number[] {
  const separators = [...text].filter((sign) => sign === ',' || sign === '.');
  const [first] = separators;
  if (first === undefined) return [Number(text)];
  const digits = text.replace(/[.,]/g, '');
  const parts = text.split(/[.,]/);
  const areThousands = parts[0] !== '' && !parts[0]!.startsWith('0') && parts[0]!.length <= 3;
  if (separators.length === 1) {
    const decimal = Number(text.replace(',', '.'));
    const isUnclear = areThousands && parts[1]!.length === 3 && (first === ',' || isMm);
    return isUnclear ? [decimal, Number(digits)] : [decimal];
  }
  const last = separators.at(-1)!;
  const inner = parts.slice(1, -1);
  if (!areThousands || inner.some((part) => part.length !== 3)) return [];
  // 1,234,567 has thousands alone; 1,234.5 has a decimal part as well
  if (separators.every((sign) => sign === first)) return parts.at(-1)!.length === 3 ? [Number(digits)] : [];
  const isMixed = separators.slice(0, -1).every((sign) => sign === first) && last !== first;
  return isMixed ? [Number(`${parts.slice(0, -1).join('')}.${parts.at(-1)}`)] : [];
}

function inchesAfterFeet(whole: string, inches: readonly number[]): DistanceReading[] {
  return inches.filter((value) => value < 12).map((value) => feet(Number(whole), value));
}

/**
 * A fraction of an inch. One above 1 is more likely a whole number and a fraction whose space is missing: 11/2 is 1 1/2, or eleven
 * halves.
 */
function fractions(
  top: string,
  bottom: string,
  reading: (inches: number) => DistanceReading,
  below = Infinity,
): DistanceReading[] {
  const plain = Number(top) / Number(bottom);
  if (plain < 1) return [reading(plain)];
  const splits = Array.from(
    { length: top.length - 1 },
    (_, k) => [Number(top.slice(0, k + 1)), Number(top.slice(k + 1))] as const,
  )
    .filter(([, rest]) => rest > 0 && rest < Number(bottom))
    .map(([whole, rest]) => whole + rest / Number(bottom));
  return [...splits, plain].filter((inches) => inches < below).map(reading);
}

function distinct(readings: readonly DistanceReading[]): DistanceReading[] {
  return readings.filter(({ mm }, index) => readings.findIndex((other) => Math.abs(other.mm - mm) < 1e-6) === index);
}
