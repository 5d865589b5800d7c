import type { ShotDocument } from '@still-heron/contract';
import { everyoneHearsIt } from './everyone-hears-it.js';
import { ferrymanByEye, roundTheBell, theBankPath } from './on-the-set.js';
import { planned } from './planned.js';
import {
  startFloor,
  setSubjectHeight,
  setLensHeight,
  setSubjectKind,
  changeLandmark,
  changeMark,
  addLandmark,
  addBeat,
  addPull,
  addStay,
  addSubject,
  changeBeat,
  changePull,
  changeStay,
  changeSubject,
  type KitCamera,
  type KitLens,
  type Method,
  newPlan,
  setDuration,
  setFocalLength,
  setStop,
  type Rig,
  type ShotPlan,
  chooseCamera,
  chooseLens,
  chooseRig,
  chooseWheel,
  type Wheel,
} from '@still-heron/core';

/** The demo production: an invented film in an invented town. Its plans are built with the same edits as on the page. */
export const BELL_FOUNDRY = 'The Bell Foundry';

/** Kit items by name, as the demo's shots use them. */
export interface DemoKit {
  readonly camera: { readonly id: string; readonly item: KitCamera };
  /** A small body with autofocus */
  readonly smallBody: { readonly id: string; readonly item: KitCamera };
  readonly lens: (name: string) => { readonly id: string; readonly item: KitLens };
  readonly wheel: (name: string) => { readonly id: string; readonly item: Wheel };
  readonly rig: (name: string) => { readonly id: string; readonly item: Rig };
}

interface Gear {
  readonly lens: string;
  readonly rig: string;
  readonly wheel?: string;
  readonly stop: number;
}

/** A shot with gear from the kit, without subjects. */
function shot(kit: DemoKit, gear: Gear, durationS: number, method: Method): ShotPlan {
  const { camera } = kit;
  const lens = kit.lens(gear.lens);
  const rig = kit.rig(gear.rig);
  let plan = setDuration(newPlan(), durationS);
  plan = chooseCamera(plan, { id: camera.id, modeId: 'wide', steadyingId: null }, camera.item);
  plan = setStop(chooseLens(plan, lens.id, lens.item.lens), gear.stop);
  plan = chooseRig(plan, rig.id, rig.item);
  const wheel = gear.wheel === undefined ? null : kit.wheel(gear.wheel);
  if (wheel) plan = chooseWheel(plan, wheel.id, wheel.item);
  return { ...plan, method };
}

/** Fixed focus on one person, wide and stopped down: sharp. */
function bronzeAtTheLip(kit: DemoKit): ShotPlan {
  const empty = shot(kit, { lens: '32 mm T2.2', rig: 'On legs', stop: 4.5 }, 8, 'fixed');
  const tam = changeSubject(addSubject(empty, { name: 'Old Tam', distanceMm: 3400 }), 'subject-1', {
    detail: 'hands on the ladle',
  });
  let drawn = addLandmark(startFloor(tam), 'box', 'mould', { xMm: 3900, yMm: -900 });
  drawn = addLandmark(drawn, 'door', 'furnace door', { xMm: 7500, yMm: 600 });
  return changeLandmark(drawn, 'landmark-2', { turnedDeg: 90, widthMm: 1400 });
}

/** Ines comes down the floor with a lantern; the pull to her last mark starts too late. */
function lanternToTheMould(kit: DemoKit): ShotPlan {
  let plan = shot(kit, { lens: '65 mm T2.2', rig: 'Dolly with a puller', wheel: 'Hand wheel, gear 1.6', stop: 2.2 }, 11, 'rack');
  plan = addSubject(plan, { name: 'Old Tam', distanceMm: 2900 });
  plan = addSubject(plan, { name: 'Ines', distanceMm: 4550 });
  plan = addSubject(plan, { name: 'Hand cart', distanceMm: 7200 });
  plan = changeSubject(setSubjectKind(plan, 'subject-3', 'object'), 'subject-3', { detail: 'rim of the bell' });
  plan = addStay(plan, 'subject-2', { distanceMm: 2050, fromS: 5.2 });
  plan = changeStay(plan, 'subject-2', 'stay-1', { untilS: 1.4 });
  plan = addPull(plan, 'mark-4', 4.9);
  plan = changePull(plan, 'pull-1', { startS: 4.9, durationS: 1.1, trigger: 'look', cue: 'her lantern passes the post' });
  plan = changeBeat(plan, 'beat-1', { toS: 4, why: 'he hears her' });
  plan = changeBeat(plan, 'beat-2', { fromS: 5.4, why: 'she sees the crack' });
  plan = addPull(plan, 'mark-3', 8.6);
  plan = changePull(plan, 'pull-2', { startS: 8.6, durationS: 1.2, trigger: 'look', cue: 'she sets the lantern down' });
  plan = changeBeat(plan, 'beat-2', { toS: 8.6 });
  return changeBeat(plan, 'beat-3', { fromS: 9.8, why: 'the bell waits' });
}

/** A long lens close by: sharp on paper, but the pull is tight for a hand. */
function theForkIsStruck(kit: DemoKit): ShotPlan {
  let plan = shot(kit, { lens: '135 mm T2.5', rig: 'On legs', stop: 3.2 }, 6, 'rack');
  plan = addSubject(plan, { name: 'Tuning fork', distanceMm: 1450 });
  plan = changeSubject(setSubjectKind(plan, 'subject-1', 'object'), 'subject-1', { detail: 'tines' });
  plan = addSubject(plan, { name: 'Maren', distanceMm: 2350 });
  plan = changeSubject(plan, 'subject-2', { markSigmaMm: 15 });
  plan = addPull(plan, 'mark-2', 2.4);
  plan = changePull(plan, 'pull-1', { startS: 2.4, durationS: 1.5, trigger: 'look', cue: 'the fork stops' });
  plan = changeBeat(plan, 'beat-1', { toS: 2.4, why: 'the note' });
  return changeBeat(plan, 'beat-2', { fromS: 3.9, toS: 6, why: 'she hears it is wrong' });
}

/** Two people on the stairs with enough time between them: sharp. */
function listeningOnTheStairs(kit: DemoKit): ShotPlan {
  let plan = shot(kit, { lens: '75 mm T2.2', rig: 'On legs', stop: 4.5 }, 9, 'rack');
  plan = addSubject(plan, { name: 'Maren', distanceMm: 3100 });
  plan = addSubject(plan, { name: 'Bohdan', distanceMm: 5400 });
  plan = addPull(plan, 'mark-2', 4);
  plan = changePull(plan, 'pull-1', { startS: 4, durationS: 1.6, trigger: 'spoken-line', cue: '“Who rang it?”' });
  plan = changeBeat(plan, 'beat-1', { toS: 4, why: 'the question' });
  return changeBeat(plan, 'beat-2', { fromS: 5.6, toS: 9, why: 'the answer' });
}

/** The cart rolls into a preset plane of focus; the ring is not turned. */
function cartThroughTheGate(kit: DemoKit): ShotPlan {
  let plan = shot(kit, { lens: '28 mm T2.2', rig: 'On legs', stop: 6.3 }, 10, 'walk-in');
  plan = addSubject(plan, { name: 'Hand cart', distanceMm: 9000 });
  plan = changeSubject(plan, 'subject-1', { detail: 'rim of the bell' });
  plan = addStay(plan, 'subject-1', { distanceMm: 2600, fromS: 7 });
  plan = changeStay(plan, 'subject-1', 'stay-1', { untilS: 0.5 });
  plan = { ...plan, focusTrack: { start: { kind: 'mark', markId: 'mark-2' }, pulls: [] } };
  return changeBeat(yardFromAbove(plan), 'beat-1', { fromS: 6, why: 'the bell, close' });
}

/** The yard: the cart comes from the wall through the gate, past the sand, to its taped mark. */
function yardFromAbove(plan: ShotPlan): ShotPlan {
  const rimMm = 1150;
  let drawn = setLensHeight(setSubjectHeight(startFloor(plan), 'subject-1', rimMm), rimMm);
  drawn = addLandmark(drawn, 'post', 'gate post', { xMm: 5600, yMm: 1300 });
  drawn = addLandmark(drawn, 'post', 'gate post by the bank', { xMm: 5600, yMm: -1300 });
  drawn = addLandmark(drawn, 'box', 'sand box', { xMm: 4300, yMm: 2100 });
  drawn = addLandmark(drawn, 'wall', 'yard wall', { xMm: 5600, yMm: 3600 });
  drawn = changeLandmark(drawn, 'landmark-4', { turnedDeg: 90, widthMm: 3600 });
  drawn = changeMark(drawn, 'mark-1', { tapeShape: 'line', tapeColour: 'white', pose: 'cart behind the chalk line, brake on' });
  return changeMark(drawn, 'mark-2', {
    tapeShape: 'corner',
    tapeColour: 'orange',
    pose: 'front wheel in the corner, rim to the lens',
  });
}

/** From a face on the bank to the ferry far out: the pull ends at infinity. */
function theFerryTakesTheBell(kit: DemoKit): ShotPlan {
  let plan = shot(kit, { lens: '75 mm T2.2', rig: 'On legs', wheel: 'Hand wheel, gear 1.6', stop: 3.2 }, 14, 'rack');
  plan = addSubject(plan, { name: 'Bohdan', distanceMm: 2700 });
  plan = addSubject(plan, { name: 'River ferry', distanceMm: null });
  plan = changeSubject(setSubjectKind(plan, 'subject-2', 'object'), 'subject-2', { detail: 'the bell on deck' });
  plan = addPull(plan, 'mark-2', 6);
  plan = changePull(plan, 'pull-1', { startS: 6, durationS: 2.5, trigger: 'look', cue: 'he turns to the water' });
  plan = changeBeat(plan, 'beat-1', { toS: 5.5, why: 'he lets go' });
  plan = changeBeat(plan, 'beat-2', { fromS: 8.5, toS: 12, why: 'it leaves' });
  return addBeat(plan, 'subject-2', 12);
}

/** Eight pulls between five people. */
function everyone(kit: DemoKit): ShotPlan {
  return everyoneHearsIt(shot(kit, { lens: '65 mm T2.2', rig: 'On legs', wheel: 'Hand wheel, gear 1.6', stop: 4.5 }, 30, 'rack'));
}

/** With the small body, whose autofocus was tested. */
function bankPath(kit: DemoKit): ShotPlan {
  const { id, item } = kit.smallBody;
  const empty = shot(kit, { lens: 'Stills zoom 24–70 mm f/2.8', rig: 'Palm and fingers', stop: 4 }, 10, 'automatic');
  return theBankPath(setFocalLength(chooseCamera(empty, { id, modeId: 'full', steadyingId: null }, item), 50));
}

/** In shooting order, which differs from story order. */
export const BELL_FOUNDRY_SHOTS: readonly ((kit: DemoKit) => ShotDocument)[] = [
  (kit) => ({
    scene: '4 Casting floor',
    slate: '4A',
    title: 'Bronze at the lip',
    plan: planned(bronzeAtTheLip(kit), {
      meteredStop: 4,
      behind: ['furnace door', 7500],
      isOneChance: true,
      day: 1,
      setUpMin: 40,
      cover: '4B, her face as it pours',
    }),
  }),
  (kit) => ({
    scene: '4 Casting floor',
    slate: '4B',
    title: 'Lantern to the mould',
    plan: planned(lanternToTheMould(kit), { meteredStop: 2.5, behind: ['furnace door', 9800], day: 1, setUpMin: 30 }),
  }),
  (kit) => ({
    scene: '9 Tuning loft',
    slate: '9A',
    title: 'The fork is struck',
    plan: planned(theForkIsStruck(kit), {
      meteredStop: 2.8,
      behind: ['loft wall', 3600],
      day: 2,
      setUpMin: 15,
      betweenTakesS: 45,
    }),
  }),
  (kit) => ({
    scene: '9 Tuning loft',
    slate: '9C',
    title: 'Listening on the stairs',
    plan: planned(listeningOnTheStairs(kit), { meteredStop: 3.2, behind: ['loft window', 11_000], softPercent: 1.2, day: 2 }),
  }),
  (kit) => ({
    scene: '9 Tuning loft',
    slate: '9D',
    title: 'Round the bell',
    plan: planned(roundTheBell(shot(kit, { lens: '32 mm T2.2', rig: 'Dolly with a puller', stop: 4 }, 9, 'constant-distance')), {
      meteredStop: 3.2,
      behind: ['loft wall', 5200],
      day: 2,
      setUpMin: 35,
    }),
  }),
  (kit) => ({
    scene: '12 Yard and river',
    slate: '12A',
    title: 'Hand cart through the gate',
    plan: planned(cartThroughTheGate(kit), {
      meteredStop: 11,
      ndStops: 1,
      behind: ['the horizon', null],
      day: 3,
      betweenTakesS: 180,
    }),
  }),
  (kit) => ({
    scene: '12 Yard and river',
    slate: '12B',
    title: 'The ferryman, by eye',
    plan: planned(ferrymanByEye(shot(kit, { lens: '32 mm T2.2', rig: 'On legs', stop: 4 }, 16, 'rack')), {
      meteredStop: 5.6,
      ndStops: 2,
      behind: ['far bank', null],
      day: 3,
    }),
  }),
  (kit) => ({
    scene: '12 Yard and river',
    slate: '12C',
    title: 'The bank path',
    plan: planned(bankPath(kit), { meteredStop: 8, ndStops: 2, behind: ['far bank', null], day: 3, setUpMin: 10 }),
  }),
  (kit) => ({
    scene: '12 Yard and river',
    slate: '12D',
    title: 'The ferry takes the bell',
    plan: planned(theFerryTakesTheBell(kit), {
      meteredStop: 4.5,
      ndStops: 2,
      behind: ['far bank', null],
      isOneChance: true,
      day: 3,
      setUpMin: 25,
      cover: '12A, the empty cart',
    }),
  }),
  (kit) => ({
    scene: '14 Casting floor, night',
    slate: '14A',
    title: 'Everyone hears it',
    plan: planned(everyone(kit), { meteredStop: 3.2, behind: ['furnace door', 9800], day: 4, setUpMin: 45, betweenTakesS: 150 }),
  }),
];
