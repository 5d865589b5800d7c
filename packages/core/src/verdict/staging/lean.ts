import { ringOf, wheelDegOf, withinReach } from '../../kit/index.js';
import { markReading } from '../../pull/index.js';
import {
  cameraOf,
  cameraThrough,
  focusFrom,
  focusOn,
  isSharpThrough,
  lasting,
  length,
  markOf,
  placeOf,
  towards,
  twoWays,
  withSomeone,
} from './laying.js';
import { figure, type Staging } from './staging.js';

/** The operator leans towards a subject or away from it, and comes back. */
export const lean: Staging = {
  id: 'lean',
  word: 'Lean with the body',
  says: 'Whoever holds the camera leans in or back, and comes upright again: how far goes without the ring?',
  movesCamera: true,
  params: (plan, at) => [
    twoWays('way', 'lean', 'towards them', 'back'),
    length('leanMm', 'by', 150, { min: 5, max: 1000 }),
    lasting(plan, at, 3, 'there and back in'),
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
    const isSharp = isSharpThrough(laid, atS, lastsS!);
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
