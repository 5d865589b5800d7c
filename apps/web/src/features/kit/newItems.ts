import { FORMATS, type KitItems, type KitKind, defaultLens, defaultWheel, presetRig } from '@still-heron/core';

/** Initial values of a new item. */
export function newItem<K extends KitKind>(kind: K): KitItems[K] {
  const { sensorWidthMm, sensorHeightMm, photositesWide } = FORMATS.find(({ id }) => id === 's35-16x9')!;
  const fresh: { readonly [Kind in KitKind]: () => KitItems[Kind] } = {
    lenses: () => ({
      lens: defaultLens({ name: 'New lens', focalLengthMm: 50, closeFocusMm: 500 }),
      isHired: false,
      holdTestedOn: '',
      holdTestedBy: '',
      notes: '',
    }),
    cameras: () => ({
      name: 'New camera',
      software: '',
      modes: [{ id: 'mode-1', name: 'Full width', sensorWidthMm, sensorHeightMm, photositesWide, fastestFps: 60 }],
      steadying: [],
      frameRates: [24, 25],
      baseIsos: [800],
      displays: ['Rear screen'],
      automaticAreaPercent: null,
      tests: [],
      retestAfterDays: 180,
      notes: '',
    }),
    wheels: () => defaultWheel({ name: 'New wheel' }),
    rigs: () => presetRig('New rig', 'legs', 'alone'),
  };
  return fresh[kind]();
}

/** Name of a copy: the original name with the first free number. */
export function copyName(name: string, taken: ReadonlySet<string>): string {
  const stem = name.replace(/ \(\d+\)$/, '').slice(0, 70);
  for (let number = 2; ; number++) if (!taken.has(`${stem} (${number})`)) return `${stem} (${number})`;
}

export function renamed<K extends KitKind>(kind: K, item: KitItems[K], name: string): KitItems[K] {
  if (kind !== 'lenses') return { ...item, name };
  const lens = item as KitItems['lenses'];
  return { ...lens, lens: { ...lens.lens, name } } as KitItems[K];
}
