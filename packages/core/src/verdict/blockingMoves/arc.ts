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
  withSubject,
} from './applying.js';
import { figure, said, type BlockingMove } from './blockingMove.js';

/** Largest step of the polyline around the circle. At 6° it is at most 0.14 % of the radius inside the circle. */
const MAX_STEP_DEG = 6;

/** The camera circles a subject at a constant radius. */
export const arc: BlockingMove = {
  id: 'arc',
  word: 'Circle them',
  description: 'The camera goes round someone at one radius, and looks at them all the while.',
  movesCamera: true,
  params: (plan, at) => [
    directionChoice('side', 'round', 'to the right', 'to the left'),
    { key: 'arcDeg', word: 'so far', unit: 'degrees', min: 5, max: 180, defaultValue: 90 },
    durationParam(plan, at, 6),
    length('offMm', 'off centre by', 100, { min: 0, max: 5000 }),
  ],
  lay(plan, at, { side, arcDeg, lastsS }) {
    const someone = withSubject(plan, at);
    const aimed = setAim(someone.plan, { kind: 'subject', subjectId: someone.subjectId }, at.atS, at.atS > 0);
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
    const moved = cameraThrough(aimed, at.atS, keys, 'steady');
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
      figure('the camera’s way', 'distance', wayMm),
      figure('pace', 'speed', wayMm / lastsS!),
      figure('as drawn it drifts', 'gap', driftMm, driftMm <= roomMm ? 'plain' : 'soft'),
      figure('may be off centre by', 'gap', roomMm, 'sharp'),
      offMm! <= roomMm ? said('off as said', 'stays sharp', 'sharp') : said('off as said', 'goes soft on the way round', 'soft'),
    ];
  },
};
