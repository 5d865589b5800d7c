import type { TakeRowView } from '@still-heron/contract';
import { focusOf, formatStop, isSimulated, type ShotPlan, takeMethods, type UnitSystem } from '@still-heron/core';
import { focusText, methodList, refusalText, takeFaultText } from '@still-heron/wording';
import { useNotices } from '../../ui/notices/notices';
import { useState } from 'react';
import clsx from 'clsx';
import { problemOf } from '../../shared/api/api';
import {
  useDeletedTakesQuery,
  useLazyTakeQuery,
  useRemoveTakeMutation,
  useRestoreTakeMutation,
  useSaveTakeMutation,
} from '../../shared/api/takesApi';
import { TakeDetail } from './TakeDetail';
import { Button } from '../../ui/Button';
import textStyles from '../../ui/text.module.css';
import styles from './TakeList.module.css';

interface Props {
  readonly shotId: string;
  readonly plan: ShotPlan;
  readonly takes: readonly TakeRowView[];
  readonly units: UnitSystem;
  /** The take that is open to be put right */
  readonly openId: string | null;
  readonly onOpen: (id: string | null) => void;
}

const FOCUS_TONES = { sharp: textStyles.toneSharp, usable: textStyles.toneEdge, soft: textStyles.toneSoft };

/** Local time of day. */
const CLOCK = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });

/** All takes of the shot, latest first: grades, faults and settings. */
export function TakeList({ shotId, plan, takes, units, openId, onOpen }: Props) {
  const [checkedId, setCheckedId] = useState<string | null>(null);
  return (
    <>
      {takes.length === 0 && (
        <p className={clsx(textStyles.muted, styles.takesNone)}>Roll, check and log: a good take is Y, then T.</p>
      )}
      <ol className={styles.takeList} aria-label="Takes, the latest first">
        {[...takes].reverse().map((row) => (
          <TakeRow
            key={row.id}
            row={row}
            shotId={shotId}
            plan={plan}
            units={units}
            isChecked={checkedId === row.id}
            isOpen={openId === row.id}
            onCheck={() => setCheckedId(checkedId === row.id ? null : row.id)}
            onOpen={() => onOpen(openId === row.id ? null : row.id)}
          />
        ))}
      </ol>
      <DeletedTakes shotId={shotId} />
    </>
  );
}

interface TakeRowProps extends Pick<Props, 'shotId' | 'plan' | 'units'> {
  readonly row: TakeRowView;
  readonly isChecked: boolean;
  readonly isOpen: boolean;
  readonly onCheck: () => void;
  readonly onOpen: () => void;
}

function TakeRow({ row, shotId, plan, units, isChecked, isOpen, onCheck, onOpen }: TakeRowProps) {
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
        <TakeGrades take={take} />
      </span>
      <span>
        {take.isCutShort && 'cut short: '}
        {takeFaultText(take, plan, units)}
        {take.note && <span className={textStyles.muted}> · {take.note}</span>}
      </span>
      <span className={textStyles.muted}>
        {take.alternate && `alternate ${take.alternate} · `}
        {isSimulated(take) && 'simulated · '}
        {formatStop(take.gear.stop, plan.optics.lens.stopScale)} · {methodList(takeMethods(take.gear))} ·{' '}
        {CLOCK.format(new Date(rolledAt))}
      </span>
      <span className={styles.takeButtons}>
        <Button look="quiet" aria-expanded={isChecked} aria-label={`Check take ${number}`} onClick={onCheck}>
          Check
        </Button>
        <Button look="quiet" aria-pressed={isOpen} aria-label={`Change take ${number}`} onClick={onOpen}>
          Change
        </Button>
        <Button look="quiet" aria-label={`Delete take ${number}`} onClick={() => void remove(row)}>
          Delete
        </Button>
      </span>
      {isChecked && <TakeDetail shotId={shotId} plan={plan} units={units} row={row} />}
    </li>
  );
}

/** Focus, performance, and whether it is no good, for a list of takes. */
export function TakeGrades({ take }: { readonly take: TakeRowView['take'] }) {
  const focus = focusOf(take);
  return (
    <>
      {take.isNoGood && <strong className={textStyles.toneSoft}>no good, </strong>}
      <strong className={focus ? FOCUS_TONES[focus] : textStyles.muted}>{focusText(take)}</strong>
      {take.performance && `, ${take.performance}`}
    </>
  );
}

/** Deleted takes, which can be brought back. */
function DeletedTakes({ shotId }: { readonly shotId: string }) {
  const { data: deleted = [] } = useDeletedTakesQuery(shotId);
  const [restore] = useRestoreTakeMutation();
  const notices = useNotices();
  if (deleted.length === 0) return null;
  const bringBack = async ({ id, number }: TakeRowView) => {
    const { error } = await restore({ shotId, id });
    if (error) notices.fail(refusalText(`Take ${number} was not restored`, problemOf(error).body));
  };
  return (
    <p className={clsx(textStyles.muted, styles.takesDeleted)} role="group" aria-label="Deleted takes">
      Deleted:{' '}
      {deleted.map((row) => (
        <Button key={row.id} look="quiet" onClick={() => void bringBack(row)}>
          Restore take {row.number}
        </Button>
      ))}
    </p>
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
