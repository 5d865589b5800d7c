import {
  adoptReading,
  changeMark,
  isReadOff,
  type Mark,
  markRead,
  PLAN_LIMITS,
  READING_KINDS,
  readGear,
  readingSpreadDeg,
  readingAt,
  readingProblem,
  type RingReading,
  setLens,
  setReading,
  type ShotPlan,
} from '@still-heron/core';
import { noAngleSentText, problemText, type ProblemText, READING_WORDS, readDistanceText } from '@still-heron/wording';
import { useState } from 'react';
import { useKeys } from '../../shared/keys/useKeys';
import { Button } from '../../ui/Button';
import { Choice } from '../../ui/fields/Choice';
import { OptionalNumberField } from '../../ui/fields/OptionalNumberField';
import { Key } from '../../ui/Key';
import { useEdit } from '../shot/useEdit';
import { FigureReading } from './FigureReading';
import type { MarkProps } from './markProps';
import { useRingPort } from './useRingPort';
import styles from './MarkRing.module.css';
import fieldStyles from '../../ui/fields/fields.module.css';
import textStyles from '../../ui/text.module.css';

type Kind = RingReading['kind'];

const CHOICES = READING_KINDS.map((value) => ({ value, word: READING_WORDS[value] }));

/** Where the ring stood when focus was found at a mark: typed, or taken from a wheel or motor at the port by one key. */
export function MarkRing({ mark, plan, units }: MarkProps) {
  const edit = useEdit();
  const [kind, setKind] = useState<Kind>(() => kindToStart(mark, plan));
  const [problem, setProblem] = useState<string | null>(null);
  const latestDeg = useRingPort();
  const write = (reading: RingReading | null, gesture?: string) =>
    edit(`read the ring at ${mark.letter}`, (now) => setReading(now, mark.id, reading), gesture);
  const takeAngle = () => {
    const ringDeg = latestDeg();
    const reading = ringDeg === null ? null : readingAt(readGear(plan), 'ring', ringDeg);
    const refused = reading && readingProblem(readGear(plan), reading, 'reading');
    setProblem(reading === null || refused ? noAngleSentText(refused) : null);
    if (reading && !refused) write(reading);
  };
  useKeys('g', takeAngle);
  return (
    <div className={styles.markRing} data-testid="ring-reading-card">
      <Choice label="ring read in" value={kind} choices={CHOICES} onPick={setKind} />
      {kind === 'strip' && <BarrelDiameter plan={plan} />}
      {kind === 'figures' ? (
        <FigureReading mark={mark} plan={plan} units={units} onChange={write} />
      ) : (
        <OptionalNumberField
          key={kind}
          label="ring reading"
          testId="ring-reading"
          unit={kind === 'strip' ? 'mm' : '°'}
          decimals={1}
          {...(kind === 'strip' ? PLAN_LIMITS.stripMm : PLAN_LIMITS.readDeg)}
          value={shownIn(kind, mark, plan)}
          placeholder="not read"
          refusalOf={(value) => refusalOf(kind, value, plan)}
          onChange={(value, gesture) => write(value === null ? null : readingOf(kind, value), gesture)}
        />
      )}
      {mark.reading && <ReadingSpread mark={mark} plan={plan} />}
      <ReadingSays mark={mark} plan={plan} units={units} />
      <div className={styles.ringDevices}>
        <Button size="small" onClick={takeAngle}>
          Take from wheel or motor <Key>G</Key>
        </Button>
        {mark.reading && (
          <Button size="small" onClick={() => write(null)}>
            Remove the reading
          </Button>
        )}
      </div>
      {problem && (
        <p className={fieldStyles.fieldProblem} role="alert">
          {problem}
        </p>
      )}
    </div>
  );
}

/** How well the reading was taken, and the ring comes back to it. */
function ReadingSpread({ mark, plan }: Pick<MarkProps, 'mark' | 'plan'>) {
  const edit = useEdit();
  const assumedDeg = readingSpreadDeg(plan, { ...mark, readingSigmaDeg: null })!;
  return (
    <OptionalNumberField
      label="read to ±"
      testId="reading-spread"
      unit="° of the ring"
      decimals={2}
      placeholder={`${Number(assumedDeg.toFixed(1))} assumed`}
      {...PLAN_LIMITS.readingSigmaDeg}
      value={mark.readingSigmaDeg}
      onChange={(readingSigmaDeg, gesture) =>
        edit(`how well ${mark.letter} was read`, (now) => changeMark(now, mark.id, { readingSigmaDeg }), gesture)
      }
    />
  );
}

/** What the reading says of the distance; beside a tape, whether it may replace it. */
function ReadingSays({ mark, plan, units }: MarkProps) {
  const edit = useEdit();
  const read = markRead(plan, mark);
  if (mark.reading === null) return null;
  return (
    <p data-testid="reading-says" className={textStyles.muted}>
      {read ? readDistanceText(mark.reading, read, units) : 'This reading is not of this ring.'}
      {read && !isReadOff(mark) && (
        <>
          {' '}
          <Button
            size="small"
            onClick={() => edit(`take the distance of ${mark.letter} off the ring`, (now) => adoptReading(now, mark.id))}
          >
            Nobody taped it: use the reading
          </Button>
        </>
      )}
    </p>
  );
}

/** A strip tells an angle only on a barrel of known diameter. */
function BarrelDiameter({ plan }: Pick<MarkProps, 'plan'>) {
  const edit = useEdit();
  return (
    <OptionalNumberField
      label="diameter of the barrel under the strip"
      unit="mm"
      decimals={1}
      placeholder="not measured"
      {...PLAN_LIMITS.diameterMm}
      value={plan.optics.lens.ringDiameterMm}
      onChange={(ringDiameterMm, gesture) =>
        edit('set the diameter of the barrel', (now) => setLens(now, { ringDiameterMm }), gesture)
      }
    />
  );
}

/** The kind of reading that this mark, or else the mark read last, has. */
function kindToStart(mark: Mark, plan: ShotPlan): Kind {
  const last = plan.marks.findLast(({ reading }) => reading !== null);
  return mark.reading?.kind ?? last?.reading?.kind ?? (plan.wheel ? 'wheel' : 'ring');
}

function readingOf(kind: Exclude<Kind, 'figures'>, value: number): RingReading {
  return kind === 'strip' ? { kind, mm: value } : { kind, deg: value };
}

/** The mark's reading in another unit; null without one, or if the barrel's diameter is not known. */
function shownIn(kind: Exclude<Kind, 'figures'>, { reading, ...mark }: Mark, plan: ShotPlan): number | null {
  if (reading === null) return null;
  if (reading.kind === kind) return reading.kind === 'strip' ? reading.mm : reading.deg;
  const read = markRead(plan, { reading, ...mark });
  if (read === null || (kind === 'strip' && plan.optics.lens.ringDiameterMm === null)) return null;
  const same = readingAt(readGear(plan), kind, read.ringDeg);
  return same.kind === 'strip' ? same.mm : (same as { readonly deg: number }).deg;
}

/** Why a typed reading does not say where the ring stands; null if it does. */
function refusalOf(kind: Exclude<Kind, 'figures'>, value: number, plan: ShotPlan): ProblemText | null {
  const refused = readingProblem(readGear(plan), readingOf(kind, value), 'reading');
  return refused && problemText(refused);
}
