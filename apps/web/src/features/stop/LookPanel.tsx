import {
  formatGap,
  thingsInDepth,
  PLAN_LIMITS,
  separation,
  setGoals,
  type ShotPlan,
  stopFigures,
  type UnitSystem,
  type StopFigures,
} from '@still-heron/core';
import { separationText } from '@still-heron/wording';
import { Choice } from '../../ui/fields/Choice';
import { DistanceField } from '../../ui/fields/DistanceField';
import { NumberField } from '../../ui/fields/NumberField';
import { useEdit } from '../shot/useEdit';
import { Button } from '../../ui/Button';
import { LookOfProduction } from './LookOfProduction';
import styles from './LookPanel.module.css';
import fieldStyles from '../../ui/fields/fields.module.css';
import textStyles from '../../ui/text.module.css';

interface Props {
  readonly plan: ShotPlan;
  readonly timeS: number;
  readonly units: UnitSystem;
}

/** Background blur: how soft it is, how soft it should be, and ways to get there besides the stop. */
export function LookPanel({ plan, timeS, units }: Props) {
  const edit = useEdit();
  const { background, blurPercent } = plan.goals;
  const [figures] = stopFigures(plan, [plan.optics.stop], timeS);
  const choices = thingsInDepth(plan, timeS).filter(
    ({ distanceMm }) => distanceMm === null || (figures && distanceMm > figures.nearMm),
  );
  const set = (changes: Parameters<typeof setGoals>[1], gesture?: string) =>
    edit('change the background', (now) => setGoals(now, changes), gesture);
  return (
    <div className={styles.lookPanel}>
      <Choice
        label="background"
        value={background.name || HORIZON}
        choices={[
          {
            value: HORIZON,
            word: background.name === '' && background.distanceMm !== null ? 'something farther away' : 'the horizon',
          },
          ...choices.map(({ name }) => ({ value: name, word: name })),
        ]}
        onPick={(name) => {
          const picked = choices.find((one) => one.name === name);
          set({ background: picked ? { ...picked } : { name: '', distanceMm: null } });
        }}
      />
      <div className={fieldStyles.fieldPair}>
        <DistanceField
          label="at"
          units={units}
          distanceMm={background.distanceMm ?? Infinity}
          onChange={(mm, gesture) => set({ background: { ...background, distanceMm: mm === Infinity ? null : mm } }, gesture)}
        />
        <BlurGoal blurPercent={blurPercent} figures={figures} set={set} />
      </div>
      {blurPercent !== null && (
        <Button look="quiet" onClick={() => set({ blurPercent: null })}>
          Any blur
        </Button>
      )}
      {blurPercent !== null && <LookOfProduction blurPercent={blurPercent} />}
      {figures && (
        <p>
          Now its blur is <strong className={textStyles.figure}>{figures.backgroundPercent.toFixed(2)} %</strong> of the picture’s
          width.
        </p>
      )}
      {blurPercent !== null && <Ways plan={plan} timeS={timeS} units={units} percent={blurPercent} />}
    </div>
  );
}

function BlurGoal({
  blurPercent,
  figures,
  set,
}: {
  readonly blurPercent: number | null;
  readonly figures: StopFigures | undefined;
  readonly set: (changes: Parameters<typeof setGoals>[1], gesture?: string) => void;
}) {
  return (
    <>
      {blurPercent === null ? (
        <Button
          disabled={!figures || figures.backgroundPercent < PLAN_LIMITS.blurPercent.min}
          onClick={() => set({ blurPercent: Number(figures!.backgroundPercent.toFixed(1)) || PLAN_LIMITS.blurPercent.min })}
        >
          As soft as now, at least
        </Button>
      ) : (
        <NumberField
          label="blur, at least"
          unit="%"
          decimals={2}
          step={0.1}
          {...PLAN_LIMITS.blurPercent}
          value={blurPercent}
          onChange={(value, gesture) => set({ blurPercent: value }, gesture)}
        />
      )}
    </>
  );
}

const HORIZON = '—';

/** Ways to the wanted background blur at the current stop, with their effect on the zone. */
function Ways({ plan, timeS, units, percent }: Props & { readonly percent: number }) {
  const found = separation(plan, timeS, percent);
  if (!found) return <p className={textStyles.muted}>The focus distance is beyond the background.</p>;
  const { now, ways } = found;
  if (now.backgroundPercent >= percent) return <p className={textStyles.toneSharp}>The blur is reached at this stop.</p>;
  return (
    <>
      <h3>Ways without opening the stop</h3>
      <ul className={styles.waysBehind}>
        {ways.map((way) => (
          <li key={way.kind}>
            <span>{separationText(way, units)}</span>
            <span className={textStyles.muted}>
              {way.isEnough ? `${percent} %` : `only ${way.backgroundPercent.toFixed(2)} %`} · zone {zoneWords(way.zoneMm, units)}
              {Math.abs(way.zoneMm / now.zoneMm - 1) < 0.01 ? ', the same' : ` instead of ${zoneWords(now.zoneMm, units)}`}
              {way.kind === 'nearer' && `, framed ${way.framing.toFixed(1)} × as large`}
            </span>
          </li>
        ))}
      </ul>
    </>
  );
}

function zoneWords(mm: number, units: UnitSystem): string {
  return mm === Infinity ? 'no limit' : formatGap(mm, units);
}
