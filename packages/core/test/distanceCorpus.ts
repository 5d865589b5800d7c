import type { UnitSystem } from '../src/index';

/** A text that somebody types, the unit of a bare number, and its meanings in mm: one, or several to ask about. */
export interface TypedDistance {
  readonly text: string;
  readonly bareUnit: UnitSystem;
  readonly meansMm: readonly number[];
}

const INCH = 25.4;
const FOOT = 12 * INCH;

const means = (bareUnit: UnitSystem, meansMm: readonly number[], ...texts: readonly string[]): TypedDistance[] =>
  [...new Set(texts)].map((text) => ({ text, bareUnit, meansMm }));
const either = (meansMm: readonly number[], ...texts: readonly string[]): TypedDistance[] => [
  ...means('metric', meansMm, ...texts),
  ...means('imperial', meansMm, ...texts),
];

/** Metric ways to write whole centimetres above a metre: 2.40 m, 12.05 m. */
function metric(metres: number, centimetres: number): TypedDistance[] {
  const mm = metres * 1000 + centimetres * 10;
  const two = String(centimetres).padStart(2, '0');
  const decimal = `${metres}.${two}`;
  const comma = `${metres},${two}`;
  return [
    ...means('metric', [mm], decimal, comma, ` ${decimal} `, `${decimal}0`),
    ...either(
      [mm],
      `${decimal}m`,
      `${decimal} m`,
      `${decimal} M`,
      `${comma}m`,
      `${comma} m`,
      `${decimal} metres`,
      `${decimal} meters`,
      `${decimal}\u00a0m`,
      `${metres}m${two}`,
      `${metres} m ${two}`,
      `${metres}m ${two}cm`,
      `${metres} m ${centimetres} cm`,
      `${metres}m${centimetres}cm`,
      `${metres}m ${centimetres * 10}mm`,
      `${mm / 10}cm`,
      `${mm / 10} cm`,
      `${mm}mm`,
      `${mm} mm`,
    ),
  ];
}

/** Imperial ways to write feet and inches, the inches with a fraction in eighths. */
function imperial(feet: number, inches: number, eighths: number): TypedDistance[] {
  const mm = feet * FOOT + (inches + eighths / 8) * INCH;
  const [top, bottom] = [
    [0, 8],
    [1, 8],
    [1, 4],
    [3, 8],
    [1, 2],
    [5, 8],
    [3, 4],
    [7, 8],
  ][eighths]!;
  const vulgar = ['', '⅛', '¼', '⅜', '½', '⅝', '¾', '⅞'][eighths]!;
  const plain = eighths === 0 ? String(inches) : `${inches} ${top}/${bottom}`;
  const joined = eighths === 0 ? String(inches) : `${inches}${vulgar}`;
  const decimal = String(inches + eighths / 8);
  return [
    ...either(
      [mm],
      `${feet}'${plain}`,
      `${feet}'${plain}"`,
      `${feet}' ${plain}"`,
      `${feet}′ ${plain}″`,
      `${feet}’${plain}”`,
      `${feet}´ ${plain}´´`,
      `${feet}'${plain}''`,
      `${feet}'-${plain}"`,
      `${feet}' - ${plain}"`,
      `${feet}ft ${plain}`,
      `${feet} ft ${plain} in`,
      `${feet}ft${plain}in`,
      `${feet} feet ${plain} inches`,
      `${feet} FT ${plain} IN`,
      `${feet}'${joined}`,
      `${feet}' ${joined}"`,
      `${feet}' ${decimal}"`,
      `${feet}ft ${decimal}in`,
      `${feet * 12 + inches + eighths / 8}in`,
      `${feet * 12 + inches + eighths / 8}"`,
      `${feet}-${plain}"`,
    ),
    ...means('imperial', [mm], `${feet}-${plain}`),
    ...(eighths === 0 ? means('metric', [Number(`${feet}.${inches}`) * 1000, mm], `${feet}-${inches}`) : []),
    ...(eighths > 0 ? either([mm], `${feet}'-${inches}-${top}/${bottom}"`, `${feet}' ${inches}-${top}/${bottom}"`) : []),
  ];
}

/** Texts with two meanings or more, the likeliest first. */
const UNCLEAR: readonly TypedDistance[] = [
  ...either([2400, 2040], '2m4', '2 m 4', '2M4'),
  ...either([1.5 * FOOT, 1500 * FOOT], '1,500ft', '1,500 ft', "1,500'"),
  ...either([1.5 * INCH, 1500 * INCH], '1,500in', '1,500"'),
  ...either([20, 20_000], '20,000 mm', '20,000mm', '20.000 mm'),
  ...either([15, 15_000], '1,500 cm'),
  ...either([1500, 1_500_000], '1,500 m'),
  ...means('metric', [1500, 1_500_000], '1,500'),
  ...means('metric', [2400, 2_400_000], '2400'),
  ...means('metric', [2400, 240_000], '240'),
  ...means('metric', [1000, 100_000], '100'),
  ...means('metric', [2400, 2 * FOOT + 4 * INCH], '2-4', '2 - 4', '2–4'),
  ...means('metric', [7110, 7 * FOOT + 11 * INCH], '7-11'),
  ...means('imperial', [7 * FOOT + 11 * INCH, 711 * INCH, 711 * FOOT], '711'),
  ...means('imperial', [240 * INCH, 240 * FOOT], '240'),
  ...means('imperial', [7 * FOOT + 11 * INCH, 7.11 * FOOT], '7.11'),
  ...means('imperial', [5 * FOOT + 10 * INCH, 5.1 * FOOT], '5.10'),
  ...either([10.5 * INCH, 10 * FOOT + 0.5 * INCH], '10-1/2"', '10-½"', '10-1/2'),
  ...either([7 * FOOT + 1.5 * INCH, 7 * FOOT + 5.5 * INCH], `7' 11/2"`, `7'11/2`, '7ft 11/2in'),
  ...either([1.5 * INCH, 5.5 * INCH], '11/2"', '11/2 in'),
  ...either([1.625 * INCH, (15 / 8) * INCH], '15/8"').map(({ text, bareUnit }) => ({
    text,
    bareUnit,
    meansMm: [1.625 * INCH, 1.875 * INCH],
  })),
];

/** Texts that mean one thing, but are asked about: nobody writes a distance like that on purpose. */
export const ASKED: readonly TypedDistance[] = [
  ...means('metric', [2400], '2 40'),
  ...means('metric', [2050], '2 5'),
  ...means('imperial', [7 * FOOT + 11 * INCH], '7 11'),
  ...means('metric', [99_999], '99999'),
  ...means('metric', [7120], '7-12'),
];

const SINGLE: readonly TypedDistance[] = [
  ...means('metric', [2400], '2.4', '2,4', '02.4'),
  ...means('metric', [900], '.9', '0.9', ',9'),
  ...means('metric', [455], '0.455', '0,455'),
  ...means('metric', [50_000], '50'),
  ...means('imperial', [8 * FOOT], '8', '8.0', '8,0'),
  ...means('imperial', [7.5 * FOOT], '7.5', '7,5'),
  ...means('imperial', [95 * FOOT], '95'),
  ...either([2005], '2m005', '2m 5mm'),
  ...either([7 * FOOT], "7'", '7′', '7ft', '7 feet', '7 foot', "7'0", `7'0"`),
  ...either([7.5 * FOOT], '7.5ft', '7.5 ft', '7 1/2 ft', '7½ ft', `7½'`, '7,5ft'),
  ...either([0.5 * FOOT], '1/2 ft', "½'"),
  ...either([7 * FOOT + 0.5 * INCH], `7' 1/2"`, `7' ½"`, `7'0 1/2"`, '7ft ½in'),
  ...either([7 * FOOT + 11.5 * INCH], `7' 111/2"`),
  ...either([12.7], '½"', '1/2"', '1/2 in', '0.5"', '.5in'),
  ...either([1_234_567], '1,234,567 mm', '1.234.567 mm', '1 234 567 mm'),
  ...either([1234.5], '1,234.5 mm', '1.234,5 mm'),
  ...either([1500], '1 500 mm', '1 500mm'),
  ...either([Infinity], 'inf', 'Inf', 'INFINITY', '∞', ' ∞ '),
];

export const REFUSED: readonly string[] = [
  'near',
  '2.4.5',
  '-2',
  '−2.4 m',
  'NaN',
  '1e3',
  '2.4 km',
  '2..4',
  '2,,4',
  '1/0in',
  '0/0in',
  '2m 140cm',
  "7'12",
  `7' 11 9/8"`,
  "'7",
  '"',
  "7'6'",
  '7"6',
  'm',
  '2 m m',
  '2.4m 5cm',
  '1,23,456 mm',
  '1.5.0 ft',
  'two metres',
  '٢٫٤',
  '0',
  '0 m',
  '0\'0"',
  '10,000.1 km',
  '20000 m',
];

const METRES = [1, 2, 3, 5, 12].flatMap((metres) => [5, 40, 95].map((centimetres) => metric(metres, centimetres)));
const FEET = [4, 7, 19].flatMap((feet) =>
  [
    [1, 0],
    [6, 4],
    [11, 2],
    [11, 5],
  ].map(([inches, eighths]) => imperial(feet, inches!, eighths!)),
);

/** Every text that has a meaning. */
export const CORPUS: readonly TypedDistance[] = [...METRES.flat(), ...FEET.flat(), ...UNCLEAR, ...SINGLE];
