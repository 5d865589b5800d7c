import type { TakeRowView } from '@still-heron/contract';
import { formatStop, isUsable, type ShotPlan, type UnitSystem } from '@still-heron/core';
import { App } from 'antd';
import { problemOf } from '../../api/api';
import { useRemoveTakeMutation, useSaveTakeMutation } from '../../api/takes';
import { METHOD_WORDS } from '../setup/words';
import { faultWords, withoutTrack } from './takeWords';

interface Props {
  readonly shotId: string;
  readonly plan: ShotPlan;
  readonly takes: readonly TakeRowView[];
  readonly units: UnitSystem;
}

/** As the clock on the wall shows it. */
const CLOCK = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' });

/** Every take of the shot, the latest first: its grades, what went wrong, and what it was shot at. */
export function TakeList({ shotId, plan, takes, units }: Props) {
  const { message } = App.useApp();
  const [save] = useSaveTakeMutation();
  const [remove] = useRemoveTakeMutation();
  const say = (what: string, error: unknown) => {
    if (error) void message.error(`${what}: ${problemOf(error).body.message}.`);
  };
  if (takes.length === 0) return <p className="haze takes-none">Roll, look, and log it: a good take is one press.</p>;
  return (
    <ol className="take-list" aria-label="Takes, the latest first">
      {[...takes].reverse().map(({ id, number, version, rolledAt, hasTrack, take }) => (
        <li key={id} className={isUsable(take) ? 'is-usable' : undefined}>
          <button
            type="button"
            className={take.isCircled ? 'take-circle is-circled' : 'take-circle'}
            aria-pressed={take.isCircled}
            aria-label={`Circle take ${number}`}
            // a track is not in the list, and must not be lost by a circle
            disabled={hasTrack}
            onClick={() =>
              void save({ shotId, id, version, take: withoutTrack({ ...take, isCircled: !take.isCircled }) }).then(({ error }) =>
                say(`Take ${number} was not changed`, error),
              )
            }
          >
            {number}
          </button>
          <span className="take-grades">
            <strong className={take.focus === 'sharp' ? 'tone-sharp' : take.focus === 'soft' ? 'tone-soft' : 'tone-edge'}>
              {take.focus ?? 'not looked at'}
            </strong>
            {take.performance && `, ${take.performance}`}
          </span>
          <span>
            {faultWords(take.hits, plan, units) || 'every mark hit'}
            {take.note && <span className="haze"> · {take.note}</span>}
          </span>
          <span className="haze">
            {formatStop(take.settings.stop, plan.optics.lens.stopScale)} · {METHOD_WORDS[take.settings.method].short} ·{' '}
            {CLOCK.format(new Date(rolledAt))}
          </span>
          <button
            type="button"
            className="quiet"
            aria-label={`Delete take ${number}`}
            onClick={() => void remove({ shotId, id, version }).then(({ error }) => say(`Take ${number} was not deleted`, error))}
          >
            Delete
          </button>
        </li>
      ))}
    </ol>
  );
}
