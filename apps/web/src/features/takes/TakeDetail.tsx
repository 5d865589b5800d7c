import type { TakeRowView } from '@still-heron/contract';
import {
  asJudged,
  packTrack,
  readLensData,
  clockCueEvents,
  type ShotPlan,
  type Take,
  type UnitSystem,
  verdictOf,
} from '@still-heron/core';
import { problemView, takeVerdictText, refusalText } from '@still-heron/wording';
import { App } from 'antd';
import { useMemo, useState } from 'react';
import { problemOf, useRevisionQuery } from '../../shared/api/api';
import { useSaveTakeMutation, useTakeQuery } from '../../shared/api/takesApi';
import { askForFile, parseCsv } from '../../shared/files/csv';
import { ProblemList } from '../../ui/ProblemList';
import { TakeChart } from './TakeChart';
import { Button } from '../../ui/Button';
import styles from './TakeDetail.module.css';
import textStyles from '../../ui/text.module.css';

interface Props {
  readonly shotId: string;
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
  readonly row: TakeRowView;
}

/** One take: its track against the plan, or ways to add a track. */
export function TakeDetail({ shotId, plan, units, row }: Props) {
  const { message } = App.useApp();
  // reload for every version: a newly imported track must appear
  const { data: found } = useTakeQuery(row.id, { refetchOnMountOrArgChange: true });
  const [save] = useSaveTakeMutation();
  const [problems, setProblems] = useState<Parameters<typeof ProblemList>[0]['problems'] | null>(null);
  const [read, setRead] = useState<Take | null>(null);
  const take = read ?? found?.take ?? null;
  // judge an old take by its own version of the plan; very old versions may be gone
  const { data: saved } = useRevisionQuery({ shotId, version: row.take.planVersion });
  const then = saved?.plan ?? plan;

  async function readTrack(): Promise<void> {
    const file = await askForFile('.csv,text/csv');
    if (!file || !take) return;
    const reading = readLensData(parseCsv(file.text), then);
    if (reading.status === 'unread') return setProblems(reading.problems.map(problemView));
    setProblems(null);
    const track = packTrack(reading.track);
    const { durationS } = reading;
    // lens data contains no cues: without notes, the clock is assumed
    const cues = take.cues.length > 0 ? take.cues : clockCueEvents(then, durationS);
    const judged = asJudged(then, { ...take, track, durationS, cues });
    const { error } = await save({ shotId, id: row.id, version: row.version, take: judged });
    if (error) void message.error(refusalText(`Take ${row.number} was not changed`, problemOf(error).body));
    else setRead(judged);
  }
  // not on every key press in the form
  const verdict = useMemo(() => take && verdictOf(then, take), [then, take]);
  if (!take) return null;
  return (
    <div data-testid="take-detail" className={styles.takeDetail}>
      {verdict ? (
        <>
          <p className={verdict.isKept ? textStyles.toneSharp : textStyles.toneSoft}>{takeVerdictText(verdict, then, units)}</p>
          <TakeChart plan={then} verdict={verdict} take={take} units={units} />
        </>
      ) : (
        <p className={textStyles.muted}>
          The ring was not recorded in this take.{' '}
          <Button look="quiet" onClick={() => void readTrack()}>
            Import lens data …
          </Button>
        </p>
      )}
      {problems && <ProblemList title="The file was not read" problems={problems} onClose={() => setProblems(null)} />}
    </div>
  );
}
