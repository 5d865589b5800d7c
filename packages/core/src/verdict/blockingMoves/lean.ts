import { ringOf, wheelDegOf, withinReach } from '../../kit/index.js';
import { markReading } from '../../track/index.js';
import {
  cameraOf,
  cameraThrough,
  setFocusFrom,
  focusTargetAt,
  isSharpThrough,
  durationParam,
  length,
  markOf,
  placeOf,
  towards,
  directionChoice,
  withSubject,
} from './applying.js';
import { figure, type BlockingMove } from './blockingMove.js';

/** The operator leans towards a subject or away from it, and comes back. */
export const lean: BlockingMove = {
  id: 'lean',
  movesCamera: true,
  needsPerson: true,
  params: (plan, at) => [directionChoice('way'), length('leanMm', 150, { min: 5, max: 1000 }), durationParam(plan, at, 3)],
  apply(plan, at, { way, leanMm, lastsS }) {
    const someone = withSubject(plan, at);
    const camera = cameraOf(someone.plan, at.atS);
    const leant = towards(camera, placeOf(someone, at.atS), way! * leanMm!);
    const moved = cameraThrough(someone.plan, at.atS, [
      { ...leant, atS: at.atS + lastsS! / 2 },
      { ...camera, atS: at.atS + lastsS! },
    ]);
    return { ...someone, plan: setFocusFrom(moved, focusTargetAt(someone, at.atS), at.atS) };
  },
  figures(blocked, { atS }, { way, leanMm, lastsS }) {
    const { nearerMm, fartherMm, focusMm } = markReading(blocked.plan, markOf(blocked, atS));
    const ring = ringOf(blocked.plan.optics.lens);
    const deg = (mm: number) => wheelDegOf(blocked.plan.wheel, ring.angleAt(withinReach(ring, mm)));
    const roomMm = way! > 0 ? nearerMm : fartherMm;
    const outMm = leanMm! - roomMm;
    const isSharp = isSharpThrough(blocked, atS, lastsS!);
    return [
      outMm <= 0 ? figure('inside-by', 'gap', -outMm, isSharp ? 'sharp' : 'edge') : figure('outside-by', 'gap', outMm, 'soft'),
      figure('nearer-room', 'gap', nearerMm),
      figure('farther-room', 'gap', fartherMm),
      figure(blocked.plan.wheel ? 'wheel-turn' : 'ring-turn', 'degrees', Math.abs(deg(focusMm - way! * leanMm!) - deg(focusMm))),
    ];
  },
};
