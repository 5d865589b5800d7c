import { lensSentence, landingWindowText } from '@still-heron/wording';
import {
  circleMm,
  cameraOf,
  depthOfField,
  FORMATS,
  fNumberOf,
  type KitLens,
  type Lens,
  ringOf,
  type RingPoint,
  withinReach,
  type LensRing,
  type UnitSystem,
  nearestFocusMm,
  scaleOfReadings,
} from '@still-heron/core';
import { useState } from 'react';
import clsx from 'clsx';
import { useAppSelector } from '../../../shared/store/hooks';
import { DistanceField } from '../../../ui/fields/DistanceField';
import { WordChoice } from '../../../ui/fields/WordChoice';
import { useOpenItem } from '../useOpenItem';
import { LensFigures } from './LensFigures';
import { RingDrawing } from './RingDrawing';
import { ScaleEditor } from './ScaleEditor';
import { checkPoints } from './checkPoints';
import { Sentence } from '../../../ui/Sentence';
import layoutStyles from '../../../ui/layout.module.css';
import styles from './LensPage.module.css';
import textStyles from '../../../ui/text.module.css';

const SIDES = [
  { value: 'figures', word: 'Figures' },
  { value: 'scale', word: 'Scale of the ring' },
] as const;

/** A lens: its ring with the scale, its scale points and its figures. */
export function LensPage() {
  const { item, edit } = useOpenItem('lenses');
  const { units } = useAppSelector((state) => state.preferences);
  const [triedMm, setTriedMm] = useState(2400);
  const [shown, setShown] = useState<(typeof SIDES)[number]['value']>('figures');
  const change = (name: string, changes: Partial<Lens>, gesture?: string) =>
    edit(name, (now: KitLens) => ({ ...now, lens: { ...now.lens, ...changes } }), gesture);
  const scale = useScaleDraft(item?.lens ?? null, change);
  if (!item) return null;
  const { lens } = item;
  const ring = ringOf(lens);
  const atMm = withinReach(ring, triedMm);
  const atDeg = ring.angleAt(atMm);
  const { points, problems } = scale;
  const zone = zoneAt(lens, atMm);
  const windowDeg =
    zone && ([ring.angleAt(withinReach(ring, zone.nearMm)), ring.angleAt(withinReach(ring, zone.farMm))] as const);
  return (
    <div className={layoutStyles.stepPage}>
      <div data-testid="surface" className={clsx(layoutStyles.surface, styles.lensSurface)}>
        <Sentence parts={lensSentence(lens, points, atMm, units)} />
        <RingDrawing
          lens={lens}
          points={points}
          wrong={new Set(problems.keys())}
          atDeg={atDeg}
          windowDeg={windowDeg}
          units={units}
          onTurn={(ringDeg) => setTriedMm(ring.distanceAt(ringDeg))}
        />
        <RingReadout atMm={atMm} units={units} ring={ring} onTriedMm={setTriedMm} windowDeg={windowDeg} points={points} />
      </div>
      <aside data-testid="side" className={clsx(layoutStyles.side, styles.lensSide)} aria-label="Scale and figures of the lens">
        <WordChoice label="View of the lens" chosen={shown} choices={SIDES} onChoose={setShown} />
        {shown === 'scale' ? (
          <ScaleEditor
            lens={lens}
            points={points}
            isDraft={scale.isDraft}
            problems={problems}
            units={units}
            onPoints={scale.setPoints}
            onScale={scale.setScale}
            onGiveUp={() => scale.show(null)}
            onShow={scale.show}
            onThrowAlone={(focusThrowDeg) => {
              scale.show(null);
              change('use a ring by its throw', { ring: { kind: 'helicoid', focusThrowDeg } });
            }}
          />
        ) : (
          <LensFigures item={item} units={units} onChange={change} />
        )}
      </aside>
    </div>
  );
}

interface RingReadoutProps {
  readonly atMm: number;
  readonly units: UnitSystem;
  readonly ring: LensRing;
  readonly onTriedMm: (value: number) => void;
  readonly windowDeg: readonly [number, number] | null;
  readonly points: readonly RingPoint[];
}

function RingReadout({ atMm, units, ring, onTriedMm, windowDeg, points }: RingReadoutProps) {
  return (
    <div className={styles.ringReadout}>
      <DistanceField
        label="Under the witness mark"
        size="large"
        distanceMm={atMm}
        units={units}
        range={{ minMm: ring.closeFocusMm, maxMm: ring.farthestMm, reason: 'ring' }}
        onChange={onTriedMm}
        testId="ring-distance"
      />
      <p className={textStyles.muted}>
        Drag the ring, or turn it with the arrow keys.
        {windowDeg && ` ${landingWindowText(Math.abs(windowDeg[0] - windowDeg[1]))}`}
        {points.length > 0 && ' Blue: the scale points, each linked to its place on a smooth scale.'}
      </p>
    </div>
  );
}

/** Scale points being edited: valid ones are saved at once, invalid ones stay in a draft with their problems. */
function useScaleDraft(lens: Lens | null, onChange: (name: string, changes: Partial<Lens>) => void) {
  const [draft, setDraft] = useState<readonly RingPoint[] | null>(null);
  const points = draft ?? (lens && lens.ring.kind !== 'helicoid' ? lens.ring.points : []);
  /** A scale whose points are followed exactly */
  function setScale(name: string, next: readonly RingPoint[]): void {
    const asTable = lens && { ...lens, ring: { kind: 'table' as const, points: next } };
    if (!asTable || next.length === 0 || checkPoints(asTable, next).size > 0) return setDraft(next);
    setDraft(null);
    onChange(name, { ring: asTable.ring, closeFocusMm: nearestFocusMm(asTable) });
  }
  /** Points of the scale that the ring has: one that was fitted to readings is fitted to them again */
  function setPoints(name: string, next: readonly RingPoint[]): void {
    if (lens?.ring.kind !== 'fitted') return setScale(name, next);
    const scale = scaleOfReadings(lens, next);
    if (!('ring' in scale)) return setDraft(next);
    setDraft(null);
    onChange(name, { ring: scale.ring });
  }
  const problems: ReturnType<typeof checkPoints> = lens ? checkPoints(lens, points) : new Map();
  return { points, problems, isDraft: draft !== null, setPoints, setScale, show: setDraft };
}

/** Zone at the widest stop on a medium format. Kit has no shot to take them from. */
function zoneAt(lens: Lens, atMm: number) {
  if (atMm - lens.principalSeparationMm < 4 * lens.focalLengthMm) return null;
  const camera = cameraOf(FORMATS.find(({ id }) => id === 's35-16x9')!);
  return depthOfField({
    focalLengthMm: lens.focalLengthMm,
    fNumber: fNumberOf(lens, lens.widestStop),
    circleOfConfusionMm: circleMm(camera, { kind: 'diagonal', divisor: 1500 }),
    focusDistanceMm: atMm,
    principalSeparationMm: lens.principalSeparationMm,
  });
}
