import {
  AIDS,
  defaultLens,
  defaultWheel,
  type KitCamera,
  KIT_KINDS,
  presetRig,
  PULLERS,
  RING_RESPONSES,
  SUPPORTS,
} from '@still-heron/core';
import { AID_WORDS, itemLine, KIND_WORDS, lensLine, PULLER_WORDS, RESPONSE_WORDS, SUPPORT_WORDS } from './kitText';

test('a lens in a line: prime or zoom, T-stops or f-numbers, by throw or by points', () => {
  const lens = defaultLens({ name: '65', focalLengthMm: 65, widestStop: 2.2 });
  expect(lensLine(lens)).toBe('65 mm · T2.2 to 22 · throw 280°');
  const zoom = defaultLens({ name: 'z', focalLengthMm: 24, longestMm: 70, stopScale: 'f', widestStop: 2.8, narrowestStop: 16 });
  expect(lensLine(zoom)).toBe('24–70 mm · f/2.8 to 16 · throw 280°');
  const points = [
    { distanceMm: null, ringDeg: 0 },
    { distanceMm: 650, ringDeg: 280 },
  ];
  expect(lensLine({ ...lens, ring: { kind: 'table', points } })).toBe('65 mm · T2.2 to 22 · 2 scale points');
});

test('every kind of kit has a line', () => {
  const camera = { modes: [{}], software: '' } as unknown as KitCamera;
  expect(itemLine('cameras', { ...camera, software: '2.1' })).toBe('1 mode · software 2.1');
  expect(itemLine('cameras', camera)).toBe('1 mode · software unknown');
  expect(itemLine('wheels', defaultWheel({ name: 'W', wheelPerRing: 1.6 }))).toBe('wheel · 1.6 × the ring');
  expect(itemLine('rigs', presetRig('R', 'palm-and-fingers', 'alone'))).toBe('palm and fingers · the operator, alone');
});

test('every value of the core has a word of its own, and every test of an aid is a question', () => {
  const distinct = (words: readonly string[]) => expect(new Set(words).size).toBe(words.length);
  distinct(KIT_KINDS.map((kind) => KIND_WORDS[kind].one));
  distinct(AIDS.map((aid) => AID_WORDS[aid].short));
  distinct(SUPPORTS.map((support) => SUPPORT_WORDS[support]));
  distinct(PULLERS.map((puller) => PULLER_WORDS[puller]));
  distinct(RING_RESPONSES.map((response) => RESPONSE_WORDS[response].short));
  for (const aid of AIDS) expect(AID_WORDS[aid].ask).toMatch(/\?$/);
});
