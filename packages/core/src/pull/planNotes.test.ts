import { twoPeople } from '../../test/plans';
import { plainLens, plainWheel, presetRig } from '../kit/index';
import { addOpticsMove, marksHold, planNotes, setLens, setStop, type ShotPlan, takeLens, takeRig, takeWheel } from './index';

const zoom = plainLens({
  name: 'Zoom 25–100',
  focalLengthMm: 25,
  longestMm: 100,
  widestStop: 2.8,
  widestStopLong: 4,
  closeFocusMm: 900,
});
const wheel = plainWheel({ name: 'Large wheel', wheelPerRing: 2, discDiameterMm: 90, hasEndStops: true, comfortableDeg: 150 });
const codes = (plan: ShotPlan) => planNotes(plan, { shutterAngleDeg: 180 }).map(({ code }) => code);

describe('what the gear says against the plan', () => {
  const rigged = (support: Parameters<typeof presetRig>[1], puller: Parameters<typeof presetRig>[2]) => {
    const rig = presetRig('R', support, puller);
    return takeRig(twoPeople(), null, { ...rig, parts: rig.parts.map((part) => ({ ...part, isThere: true })) });
  };

  test('nothing against a plain shot', () => expect(codes(rigged('legs', 'puller'))).toEqual([]));

  test.each<[string, ShotPlan, string[]]>([
    ['a ring by speed', takeWheel(setLens(twoPeople(), { response: 'speed' }), null, wheel), ['ring-by-speed', 'no-end-stops']],
    ['a ring in steps', setLens(twoPeople(), { response: 'steps', stepCount: 300 }), ['ring-in-steps']],
    ['a zoom not tested', addOpticsMove(marksHold(takeLens(twoPeople(), 'z', zoom)), 'zooms', 1, 90), ['zoom-not-tested']],
    ['a zoom not used', marksHold(takeLens(twoPeople(), 'z', zoom)), ['no-zoom-in-to-focus']],
    ['a crane with a hand at the ring', rigged('crane', 'puller'), ['out-of-reach', 'licensed-people']],
    ['a crane by remote', rigged('crane', 'remote'), ['licensed-people']],
    ['a stabiliser by hand', rigged('stabiliser', 'alone'), ['hand-on-stabiliser', 'walking', 'type-focal-length']],
    ['handheld', rigged('handheld', 'alone'), ['walking']],
    ['stopped far down', setStop(twoPeople(), 22), ['diffraction']],
    ['another shutter', { ...twoPeople(), exposure: { ...twoPeople().exposure, shutterAngleDeg: 90 } }, ['other-shutter']],
    ['a squeezed picture', setLens(twoPeople(), { squeeze: 1.5 }), ['squeezed']],
    ['parts missing', takeRig(twoPeople(), null, presetRig('On legs', 'legs', 'alone')), ['missing-parts']],
    [
      'a heavy one in the hands, its display on a cable',
      takeRig(twoPeople(), null, { ...rigged('shoulder', 'alone').rig!, weightKg: 9, displayIsCabled: true }),
      ['walking', 'cable', 'heavy'],
    ],
  ])('%s', (_, plan, expected) => expect(codes(plan)).toEqual(expected));

  test('every caution defers to those who decide, and none gives a distance', () => {
    for (const support of ['crane', 'vehicle', 'cable', 'stabiliser', 'handheld', 'shoulder'] as const) {
      const cautions = planNotes(rigged(support, 'alone'), { shutterAngleDeg: 180 }).filter(({ kind }) => kind === 'caution');
      expect(cautions.some(({ text }) => text.includes('safety lead decide'))).toBe(true);
      expect(cautions.every(({ text }) => !/\d+(\.\d+)? ?(m|cm|ft)\b/.test(text))).toBe(true);
    }
  });
});
