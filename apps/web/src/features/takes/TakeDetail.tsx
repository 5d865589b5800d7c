import type { TakeRowView } from '@still-heron/contract';
import {
  type CsvTable,
  heldBy,
  isKeptTake,
  type LensDataReading,
  type LensDataUnit,
  readLensData,
  type ShotPlan,
  type Take,
  type TakeVerdict,
  type UnitSystem,
  verdictOf,
  withLensData,
} from '@still-heron/core';
import {
  heldByText,
  inLensDataUnit,
  lensDataReadText,
  problemView,
  refusalText,
  RING_SOURCE_WORDS,
  takeVerdictText,
  TIMECODE_SOURCE_WORDS,
} from '@still-heron/wording';
import { useNotices } from '../../ui/notices/notices';
import { useMemo, useState } from 'react';
import { problemOf } from '../../shared/api/api';
import { useRevisionQuery } from '../../shared/api/revisionsApi';
import { useSaveTakeMutation, useTakeQuery } from '../../shared/api/takesApi';
import { askForFile, parseCsv } from '../../shared/files/csv';
import { ProblemList } from '../../ui/ProblemList';
import { LookFirst } from './LookFirst';
import { RecoveryLines } from './RecoveryLines';
import { TakeChart } from './TakeChart';
import { TakeHistory } from './TakeHistory';
import { TurnTable } from './TurnTable';
import { turnRows } from './turnRows';
import { Button } from '../../ui/Button';
import styles from './TakeDetail.module.css';
import textStyles from '../../ui/text.module.css';

interface Props {
  readonly shotId: string;
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
  readonly row: TakeRowView;
}

/** A file whose distances have no unit. */
interface AskedUnit extends Pick<Extract<LensDataReading, { status: 'asks-unit' }>, 'units' | 'example'> {
  readonly table: CsvTable;
}

/** One take: its track against the plan, or ways to add a track. */
export function TakeDetail({ shotId, plan, units, row }: Props) {
  const notices = useNotices();
  // reload for every version: a newly imported track must appear
  const { data: found } = useTakeQuery(row.id, { refetchOnMountOrArgChange: true });
  const [save] = useSaveTakeMutation();
  const [problems, setProblems] = useState<Parameters<typeof ProblemList>[0]['problems'] | null>(null);
  const [asked, setAsked] = useState<AskedUnit | null>(null);
  const [read, setRead] = useState<Take | null>(null);
  const take = read ?? found?.take ?? null;
  // judge an old take by its own version of the plan; very old versions may be gone
  const { data: saved } = useRevisionQuery({ shotId, version: row.take.planVersion });
  const then = saved?.plan ?? plan;

  async function readTrack(): Promise<void> {
    const file = await askForFile('.csv,text/csv');
    if (file) await readTable(parseCsv(file.text));
  }

  async function readTable(table: CsvTable, unit?: LensDataUnit): Promise<void> {
    if (!take) return;
    const reading = readLensData(table, then, unit);
    setProblems(reading.status === 'unread' ? reading.problems.map(problemView) : null);
    setAsked(reading.status === 'asks-unit' ? { ...reading, table } : null);
    if (reading.status !== 'read') return;
    const judged = withLensData(then, take, reading);
    const { error } = await save({ shotId, id: row.id, version: row.version, take: judged });
    if (error) return notices.fail(refusalText(`Take ${row.number} was not changed`, problemOf(error).body));
    setRead(judged);
    notices.tell(lensDataReadText(reading.detectedUnit, reading.track.holes));
  }
  // not on every key press in the form
  const verdict = useMemo(() => take && verdictOf(then, take), [then, take]);
  if (!take) return null;
  return (
    <div data-testid="take-detail" className={styles.takeDetail}>
      {verdict ? (
        <TrackOfTake plan={then} verdict={verdict} take={take} units={units} />
      ) : (
        <p className={textStyles.muted}>
          The ring was not recorded in this take.{' '}
          <Button look="quiet" onClick={() => void readTrack()}>
            Import lens data …
          </Button>
        </p>
      )}
      {asked && (
        <p role="group" aria-label="Unit of the distances">
          The file does not name the unit of its distances. Its first distance is{' '}
          {asked.units.map((unit) => (
            <Button key={unit} onClick={() => void readTable(asked.table, unit)}>
              {inLensDataUnit(asked.example, unit)}
            </Button>
          ))}
        </p>
      )}
      <OtherMethods plan={then} take={take} />
      <LookFirst plan={then} take={take} />
      <TakeOrigin take={take} />
      <TakeHistory shotId={shotId} row={row} take={take} />
      {problems && <ProblemList title="The file was not read" problems={problems} onClose={() => setProblems(null)} />}
    </div>
  );
}

/** What a take's track shows: in a sentence, as a curve, and turn by turn. */
function TrackOfTake(props: Pick<Props, 'plan' | 'units'> & { readonly verdict: TakeVerdict; readonly take: Take }) {
  const { plan, verdict, take, units } = props;
  return (
    <>
      <p className={verdict.isKept ? textStyles.toneSharp : textStyles.toneSoft}>{takeVerdictText(verdict, plan, units)}</p>
      <TakeChart {...props} />
      <TurnTable wheel={plan.wheel} rows={turnRows(take, plan, units)} />
      <RecoveryLines take={take} />
    </>
  );
}

/** Says which other method would have held the errors of a take that was lost. */
function OtherMethods({ plan, take }: { readonly plan: ShotPlan; readonly take: Take }) {
  const methods = useMemo(() => (isKeptTake(take) === false ? heldBy(plan, take) : null), [plan, take]);
  return methods ? <p>{heldByText(methods)}</p> : null;
}

/** What turned the ring, whose timecode it is, which alternate and which file. */
function TakeOrigin({ take }: { readonly take: Take }) {
  const { ringFrom, startTimecode, timecodeFrom, alternate, clip } = take;
  const parts = [
    `ring: ${RING_SOURCE_WORDS[ringFrom]}`,
    startTimecode && `timecode ${startTimecode} ${TIMECODE_SOURCE_WORDS[timecodeFrom]}`,
    alternate && `alternate ${alternate}`,
    clip && `file ${clip}`,
  ];
  return <p className={textStyles.muted}>{parts.filter(Boolean).join(' · ')}</p>;
}
