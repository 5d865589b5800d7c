import { AIDS, KIT_KINDS, defaultLens, defaultWheel, presetRig, PULLERS, RING_RESPONSES, SUPPORTS } from '@still-heron/core';
import { newItem } from './newItems';
import { AID_WORDS, KIND_WORDS, lensLine, lineOf, PULLER_WORDS, RESPONSE_WORDS, SUPPORT_WORDS } from './words';

test('a lens in a line: prime or zoom, light or geometry, by throw or by points', () => {
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

test('every kind has a line of its own', () => {
  expect(lineOf('cameras', { ...newItem('cameras'), software: '2.1' })).toBe('1 mode · software 2.1');
  expect(lineOf('cameras', newItem('cameras'))).toBe('1 mode · software not said');
  expect(lineOf('wheels', defaultWheel({ name: 'W', wheelPerRing: 1.6 }))).toBe('wheel · 1.6 × the ring');
  expect(lineOf('rigs', presetRig('R', 'palm-and-fingers', 'alone'))).toBe('palm and fingers · the operator, alone');
});

test('nothing the core knows lacks its word, no two share one, and what is asked is a question', () => {
  const distinct = (words: readonly string[]) => expect(new Set(words).size).toBe(words.length);
  distinct(KIT_KINDS.map((kind) => KIND_WORDS[kind].one));
  distinct(AIDS.map((aid) => AID_WORDS[aid].short));
  distinct(SUPPORTS.map((support) => SUPPORT_WORDS[support]));
  distinct(PULLERS.map((puller) => PULLER_WORDS[puller]));
  distinct(RING_RESPONSES.map((response) => RESPONSE_WORDS[response].short));
  for (const aid of AIDS) expect(AID_WORDS[aid].ask).toMatch(/\?$/);
});
