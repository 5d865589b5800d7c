import {
  calibrationDistances,
  fitHelicoid,
  formatDistance,
  type Lens,
  MM_PER_FOOT,
  ringOf,
  type RingPoint,
  type UnitSystem,
  nearestFocusMm,
} from '@still-heron/core';
import { neededSentence, NOT_READ_TEXT, problemText, calibrationFitText, calibrationStepText } from '@still-heron/wording';
import { type FormEvent, useState } from 'react';
import clsx from 'clsx';
import { DistanceField } from '../../../ui/fields/DistanceField';
import { WordChoice } from '../../../ui/fields/WordChoice';
import { readChoices, type ReadIn, ReadingField } from './CalibrationReading';
import { checkPoints } from './checkPoints';
import { Button } from '../../../ui/Button';
import { focusInvalid } from '../../../ui/fields/focusInvalid';
import kitStyles from '../kit.module.css';
import styles from './Calibration.module.css';
import textStyles from '../../../ui/text.module.css';
import fieldStyles from '../../../ui/fields/fields.module.css';

interface Props {
  readonly lens: Lens;
  readonly units: UnitSystem;
  readonly onDone: (points: readonly RingPoint[]) => void;
  readonly onClose: () => void;
  /** Points taken so far, for the drawing */
  readonly onShow: (points: readonly RingPoint[]) => void;
}

/** Number of distances between the two ends. More can be typed later. */
const BETWEEN = 5;

/** Distances that are easy to tape. */
const EASY_STEPS: Readonly<Record<UnitSystem, Parameters<typeof calibrationDistances>[2]>> = {
  metric: { fineMm: 100, coarseMm: 500 },
  imperial: { fineMm: MM_PER_FOOT / 2, coarseMm: MM_PER_FOOT },
};

/** Guided calibration of a ring: both ends, then some taped distances, one at a time. */
export function Calibration({ lens, units, onDone, onClose, onShow }: Props) {
  const ring = ringOf(lens);
  // one entry per step; null for a skipped step
  const [answers, setAnswers] = useState<readonly (RingPoint | null)[]>([]);
  const step = answers.length;
  const taken = answers.filter((point) => point !== null);
  const answer = (next: readonly (RingPoint | null)[]) => {
    setAnswers(next);
    onShow(next.filter((point) => point !== null));
  };
  const [reads, setReads] = useState<ReadIn>('degrees');
  const closeFocusMm = nearestFocusMm(lens);
  const between = calibrationDistances({ ...lens, closeFocusMm }, BETWEEN, EASY_STEPS[units]);
  const asked = [Infinity, closeFocusMm, ...between];
  const isDone = step >= asked.length;
  const problems = checkPoints(lens, taken);
  return (
    <section className={clsx(kitStyles.scaleEditor, styles.calibration)} aria-label="Calibrating the ring">
      <header>
        <h2>{isDone ? 'Your readings' : `Step ${step + 1} of ${asked.length}`}</h2>
        <Button look="quiet" title="The ring is unchanged so far" onClick={onClose}>
          Cancel
        </Button>
      </header>
      {!isDone && (
        <Step
          key={step}
          step={step}
          requestedMm={asked[step]!}
          guessDeg={guess(lens, taken, asked[step]!, ring)}
          lens={lens}
          units={units}
          reads={reads}
          onReads={setReads}
          onTake={(point) => answer([...answers, point])}
          onSkip={() => answer([...answers, null])}
        />
      )}
      {isDone && problems.size === 0 && taken.length >= 2 && <Outcome lens={lens} taken={taken} units={units} />}
      {[...problems.values()].map((problem) => (
        <p key={problem.path + problem.code} className={textStyles.toneSoft} role={isDone ? 'alert' : undefined}>
          {isDone || problem.code !== 'too-few' ? neededSentence(problemText(problem)) : ''}
        </p>
      ))}
      <div className={kitStyles.scaleActions}>
        {isDone && (
          <Button look="main" onClick={() => onDone(taken)}>
            Use these {taken.length} points
          </Button>
        )}
        {step > 0 && <Button onClick={() => answer(answers.slice(0, -1))}>Back one step</Button>}
      </div>
    </section>
  );
}

/** Expected angle at a distance: from both ends if they are known, else from the lens data. */
function guess(lens: Lens, taken: readonly RingPoint[], mm: number, ring: ReturnType<typeof ringOf>): number {
  const fit = taken.length >= 2 ? fitHelicoid(taken, lens.focalLengthMm, lens.principalSeparationMm) : null;
  if (!fit) return mm === Infinity ? 0 : ring.throwDeg;
  const place = fitHelicoid([...taken, { distanceMm: mm, ringDeg: 0 }], lens.focalLengthMm, lens.principalSeparationMm);
  return Math.round((place?.points.find(({ index }) => index === taken.length)?.fittedDeg ?? 0) * 2) / 2;
}

interface StepProps {
  readonly step: number;
  readonly requestedMm: number;
  readonly guessDeg: number;
  readonly lens: Lens;
  readonly units: UnitSystem;
  readonly reads: ReadIn;
  readonly onReads: (reads: ReadIn) => void;
  readonly onTake: (point: RingPoint) => void;
  readonly onSkip: () => void;
}

function Step({ step, requestedMm, guessDeg, lens, units, reads, onReads, onTake, onSkip }: StepProps) {
  const [mm, setMm] = useState(requestedMm);
  const [ringDeg, setRingDeg] = useState<number | null>(null);
  const [isMissing, setIsMissing] = useState(false);
  const take = (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    // an invalid value stays in its field
    if (focusInvalid(event.currentTarget)) return;
    setIsMissing(ringDeg === null);
    if (ringDeg === null) return;
    onTake({ distanceMm: mm === Infinity ? null : mm, ringDeg });
  };
  return (
    <form onSubmit={take}>
      <p className={styles.calibrationAsk}>{calibrationStepText(step, requestedMm, units)}</p>
      <div className={fieldStyles.fieldPair}>
        <DistanceField
          label={step === 0 ? 'at' : 'tape distance from the image plane'}
          distanceMm={mm}
          units={units}
          onChange={setMm}
          testId="calibration-distance"
        />
        <ReadingField key={reads} lens={lens} units={units} reads={reads} guessDeg={guessDeg} onChange={setRingDeg} />
      </div>
      <WordChoice
        label="Read in"
        chosen={reads}
        choices={readChoices(lens)}
        onChoose={(choice) => {
          setRingDeg(null);
          onReads(choice);
        }}
      />
      {isMissing && ringDeg === null && (
        <p className={fieldStyles.fieldProblem} role="alert">
          {NOT_READ_TEXT}
        </p>
      )}
      <div className={kitStyles.scaleActions}>
        <Button look="main" type="submit">
          Next
        </Button>
        <Button onClick={onSkip}>Leave this one out</Button>
      </div>
    </form>
  );
}

function Outcome({
  lens,
  taken,
  units,
}: {
  readonly lens: Lens;
  readonly taken: readonly RingPoint[];
  readonly units: UnitSystem;
}) {
  const fit = fitHelicoid(taken, lens.focalLengthMm, lens.principalSeparationMm);
  const off = fit?.points.filter(({ standsOut }) => standsOut) ?? [];
  return (
    <>
      <p>{calibrationFitText(taken.length, fit?.typicalDeg ?? null)}</p>
      {off.map(({ index, residualDeg }) => (
        <p key={index} className={textStyles.toneSoft}>
          {formatDistance(taken[index]!.distanceMm ?? Infinity, units)} reads {Math.abs(residualDeg).toFixed(1)}° beside the
          others: measure it again.
        </p>
      ))}
    </>
  );
}
