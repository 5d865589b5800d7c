import type { TakeRowView } from '@still-heron/contract';
import { formatStop, type ShotPlan, takeMethods, type UnitSystem } from '@still-heron/core';
import { methodList, faultText, refusalText } from '@still-heron/wording';
import { useNotices } from '../../ui/notices/notices';
import { useState } from 'react';
import clsx from 'clsx';
import { problemOf } from '../../shared/api/api';
import { useLazyTakeQuery, useRemoveTakeMutation, useSaveTakeMutation } from '../../shared/api/takesApi';
import { TakeDetail } from './TakeDetail';
import { Button } from '../../ui/Button';
import textStyles from '../../ui/text.module.css';
import styles from './TakeList.module.css';

interface Props {
  readonly shotId: string;
  readonly plan: ShotPlan;
  readonly takes: readonly TakeRowView[];
  readonly units: UnitSystem;
}

const FOCUS_TONES = { sharp: textStyles.toneSharp, usable: textStyles.toneEdge, soft: textStyles.toneSoft };

/** Local time of day. */
const CLOCK = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });

/** All takes of the shot, latest first: grades, faults and settings. */
export function TakeList({ shotId, plan, takes, units }: Props) {
  const [openId, setOpenId] = useState<string | null>(null);
  if (takes.length === 0)
    return <p className={clsx(textStyles.muted, styles.takesNone)}>Roll, check and log: a good take is one press.</p>;
  return (
    <ol className={styles.takeList} aria-label="Takes, the latest first">
      {[...takes].reverse().map((row) => (
        <TakeRow
          key={row.id}
          row={row}
          shotId={shotId}
          plan={plan}
          units={units}
          isOpen={openId === row.id}
          onToggle={() => setOpenId(openId === row.id ? null : row.id)}
        />
      ))}
    </ol>
  );
}

interface TakeRowProps extends Pick<Props, 'shotId' | 'plan' | 'units'> {
  readonly row: TakeRowView;
  readonly isOpen: boolean;
  readonly onToggle: () => void;
}

function TakeRow({ row, shotId, plan, units, isOpen, onToggle }: TakeRowProps) {
  const { number, rolledAt, take } = row;
  const { circle, remove } = useTakeActions(shotId);
  return (
    <li>
      <button
        type="button"
        className={clsx(styles.takeCircle, take.isCircled && styles.isCircled)}
        aria-pressed={take.isCircled}
        aria-label={`Circle take ${number}`}
        onClick={() => void circle(row)}
      >
        {number}
      </button>
      <span>
        <strong className={take.focus ? FOCUS_TONES[take.focus] : textStyles.toneEdge}>{take.focus ?? 'not checked'}</strong>
        {take.performance && `, ${take.performance}`}
      </span>
      <span>
        {take.isCutShort && 'cut short: '}
        {faultText(take.hits, plan, units) || (take.hits.length === 0 ? 'marks not scored' : 'every mark hit')}
        {take.note && <span className={textStyles.muted}> · {take.note}</span>}
      </span>
      <span className={textStyles.muted}>
        {formatStop(take.gear.stop, plan.optics.lens.stopScale)} · {methodList(takeMethods(take.gear))} ·{' '}
        {CLOCK.format(new Date(rolledAt))}
      </span>
      <Button look="quiet" aria-expanded={isOpen} aria-label={`Check take ${number}`} onClick={onToggle}>
        Check
      </Button>
      <Button look="quiet" aria-label={`Delete take ${number}`} onClick={() => void remove(row)}>
        Delete
      </Button>
      {isOpen && <TakeDetail shotId={shotId} plan={plan} units={units} row={row} />}
    </li>
  );
}

/** Circling and deleting a take; a refusal is shown. */
function useTakeActions(shotId: string) {
  const notices = useNotices();
  const [save] = useSaveTakeMutation();
  const [find] = useLazyTakeQuery();
  const [removeTake] = useRemoveTakeMutation();
  const say = (what: string, error: unknown) => {
    if (error) notices.fail(refusalText(what, problemOf(error).body));
  };
  async function circle({ id, number, hasTrack, take, version }: TakeRowView): Promise<void> {
    // the list contains no tracks; load the take, so that a change does not lose its track
    const whole = hasTrack ? await find(id) : null;
    const saved = whole?.error
      ? whole
      : await save({ shotId, id, version, take: { track: null, ...take, ...whole?.data?.take, isCircled: !take.isCircled } });
    say(`Take ${number} was not changed`, saved.error);
  }
  async function remove({ id, number, version }: TakeRowView): Promise<void> {
    const { error } = await removeTake({ shotId, id, version });
    say(`Take ${number} was not deleted`, error);
  }
  return { circle, remove };
}
