import { ringOf, wheelDegOf, withinReach } from '../../kit/index.js';
import { markReading } from '../../pull/index.js';
import { zoneSpans } from '../zoneSpans.js';
import {
  cameraOf,
  cameraThrough,
  focusFrom,
  focusOn,
  markOf,
  placeOf,
  roomS,
  subjectOf,
  towards,
  usualS,
  withSomeone,
} from './laying.js';
import { figure, type Staging } from './staging.js';

/** Whoever holds the camera leans towards someone, or away, and comes back. */
export const lean: Staging = {
  id: 'lean',
  word: 'Lean with the body',
  says: 'Whoever holds the camera leans in or back, and comes upright again: how far goes without the ring?',
  movesCamera: true,
  params: (plan, at) => [
    {
      key: 'way',
      word: 'lean',
      unit: 'choice',
      min: -1,
      max: 1,
      usual: 1,
      choices: [
        { value: 1, word: 'towards them' },
        { value: -1, word: 'back' },
      ],
    },
    { key: 'leanMm', word: 'by', unit: 'length', min: 5, max: 1000, usual: 150 },
    { key: 'lastsS', word: 'there and back in', unit: 'time', ...roomS(plan, at.atS), usual: usualS(plan, at.atS, 3) },
  ],
  lay(plan, at, { way, leanMm, lastsS }) {
    const someone = withSomeone(plan, at);
    const camera = cameraOf(someone.plan, at.atS);
    const leant = towards(camera, placeOf(someone, at.atS), way! * leanMm!);
    const moved = cameraThrough(someone.plan, at.atS, [
      { ...leant, atS: at.atS + lastsS! / 2 },
      { ...camera, atS: at.atS + lastsS! },
    ]);
    return { ...someone, plan: focusFrom(moved, focusOn(someone, at.atS), at.atS) };
  },
  figures(laid, { atS }, { way, leanMm, lastsS }) {
    const { nearerMm, fartherMm, focusMm } = markReading(laid.plan, markOf(laid, atS));
    const ring = ringOf(laid.plan.optics.lens);
    const deg = (mm: number) => wheelDegOf(laid.plan.wheel, ring.angleAt(withinReach(ring, mm)));
    const roomMm = way! > 0 ? nearerMm : fartherMm;
    const outMm = leanMm! - roomMm;
    const isSharp = zoneSpans(laid.plan, subjectOf(laid)).some(
      ({ fromS, untilS }) => fromS <= atS + 0.05 && untilS >= atS + lastsS! - 0.05,
    );
    return [
      outMm <= 0
        ? figure('stays inside by', 'gap', -outMm, isSharp ? 'sharp' : 'edge')
        : figure('leaves the zone by', 'gap', outMm, 'soft'),
      figure('may lean in by', 'gap', nearerMm),
      figure('may lean back by', 'gap', fartherMm),
      figure(
        laid.plan.wheel ? 'the wheel’s turn for it' : 'the ring’s turn for it',
        'degrees',
        Math.abs(deg(focusMm - way! * leanMm!) - deg(focusMm)),
      ),
    ];
  },
};
