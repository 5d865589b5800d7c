import { type AimKey, removeAim, type ShotPlan } from '@still-heron/core';
import { useAppDispatch } from '../../app/store';
import { editPlan } from '../shot/shotSlice';

/** Where the camera looks, in order of time. */
export function Aims({ plan }: { readonly plan: ShotPlan }) {
  const dispatch = useAppDispatch();
  const { aims } = plan.floor!;
  return (
    <section>
      <h2>It looks</h2>
      <ul className="aim-list">
        {aims.map((aim) => (
          <li key={aim.id}>
            <span>
              {aims.length > 1 && <span className="figure">{aim.timeS.toFixed(1)} s </span>}
              {aimWords(aim.at, plan)}
            </span>
            {aims.length > 1 && (
              <button
                type="button"
                className="quiet"
                aria-label={`Remove the aim at ${aim.timeS.toFixed(1)} s`}
                onClick={() => dispatch(editPlan('remove an aim', (now) => removeAim(now, aim.id)))}
              >
                ✕
              </button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

function aimWords(at: AimKey['at'], plan: ShotPlan): string {
  if (at.kind === 'subject')
    return `at ${plan.subjects.find(({ id }) => id === at.subjectId)?.name ?? 'someone'}, wherever they go`;
  return at.kind === 'point' ? 'at a point' : `straight ahead, ${Math.round(at.deg)}°`;
}
