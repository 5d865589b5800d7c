import { headingDeg } from '../../floor/index.js';
import { markReading } from '../../track/index.js';
import { setAim } from '../../plan/index.js';
import {
  apartMm,
  cameraOf,
  cameraThrough,
  distancesAt,
  setFocusFrom,
  focusTargetAt,
  durationParam,
  length,
  markOf,
  placeOf,
  directionChoice,
  withDrift,
  withSubject,
} from './applying.js';
import { figure, answer, type BlockingMove } from './blockingMove.js';

/** Largest step of the polyline around the circle. At 6° it is at most 0.14 % of the radius inside the circle. */
const MAX_STEP_DEG = 6;

/** The camera circles a subject at a constant radius. */
export const arc: BlockingMove = {
  id: 'arc',
  movesCamera: true,
  needsPerson: false,
  params: (plan, at) => [
    directionChoice('side'),
    { key: 'arcDeg', unit: 'degrees', min: 5, max: 180, defaultValue: 90 },
    durationParam(plan, at, 6),
    length('offMm', 100, { min: 0, max: 5000 }),
  ],
  apply(plan, at, { side, arcDeg, lastsS, offMm }) {
    const someone = withSubject(plan, at);
    const aimed = setAim(someone.plan, { kind: 'subject', subjectId: someone.subjectId }, { atS: at.atS, isNew: at.atS > 0 });
    const [camera, centre] = [cameraOf(aimed, at.atS), placeOf(someone, at.atS)];
    const radiusMm = apartMm(camera, centre);
    const startDeg = headingDeg(centre, camera);
    const pieces = Math.ceil(arcDeg! / MAX_STEP_DEG);
    const keys = Array.from({ length: pieces }, (_, k) => {
      const rad = ((startDeg + (side! * arcDeg! * (k + 1)) / pieces) * Math.PI) / 180;
      return {
        xMm: centre.xMm + radiusMm * Math.cos(rad),
        yMm: centre.yMm + radiusMm * Math.sin(rad),
        atS: at.atS + (lastsS! * (k + 1)) / pieces,
      };
    });
    // a circle whose centre is beside the subject is nearer on one side and farther on the other
    const moved = withDrift(cameraThrough(aimed, at.atS, keys, 'steady'), { driftSigmaMm: offMm!, driftTimeS: lastsS! });
    return { ...someone, plan: setFocusFrom(moved, focusTargetAt({ ...someone, plan: moved }, at.atS), at.atS) };
  },
  figures(blocked, { atS }, { arcDeg, lastsS, offMm }) {
    const radiusMm = apartMm(cameraOf(blocked.plan, atS), placeOf(blocked, atS));
    const wayMm = (radiusMm * arcDeg! * Math.PI) / 180;
    const { nearerMm, fartherMm } = markReading(blocked.plan, markOf(blocked, atS));
    const roomMm = Math.min(nearerMm, fartherMm);
    const radii = Array.from({ length: 121 }, (_, k) => distancesAt(blocked, atS + (lastsS! * k) / 120).focusMm);
    const driftMm = Math.max(...radii) - Math.min(...radii);
    return [
      figure('radius', 'distance', radiusMm),
      figure('camera-path', 'distance', wayMm),
      figure('mean-speed', 'speed', wayMm / lastsS!),
      figure('drift', 'gap', driftMm, driftMm <= roomMm ? 'plain' : 'soft'),
      figure('off-centre-room', 'gap', roomMm, 'sharp'),
      offMm! <= roomMm ? answer('off-centre', 'stays-sharp', 'sharp') : answer('off-centre', 'goes-soft', 'soft'),
    ];
  },
};
