import {
  addOpticsChange,
  changeOpticsChange,
  focalLengthAt,
  formatStop,
  isZoom,
  type OpticsChange,
  type OpticsSetting,
  parseStop,
  pullEndS,
  removeOpticsChange,
  type ShotPlan,
  stopAt,
  widestStopAt,
  type ShotOptics,
} from '@still-heron/core';
import { problemText } from '@still-heron/wording';
import clsx from 'clsx';
import { useAppDispatch, useAppSelector, useAppStore } from '../../shared/store/hooks';
import { NumberField } from '../../ui/fields/NumberField';
import { QuantityField } from '../../ui/fields/QuantityField';
import { TimeField } from '../../ui/fields/TimeField';
import { selectSession } from '../shot/sessionSlice';
import { editPlan } from '../shot/shotSlice';
import { Button } from '../../ui/Button';
import styles from './OpticsChanges.module.css';
import fieldStyles from '../../ui/fields/fields.module.css';
import textStyles from '../../ui/text.module.css';

/** Iris pulls and zooms while rolling: times and end values. */
export function OpticsChanges({ plan }: { readonly plan: ShotPlan }) {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const { optics } = plan;
  const add = (track: OpticsSetting) => {
    const { timeS } = selectSession(store.getState());
    const { longestMm, focalLengthMm, narrowestStop } = optics.lens;
    const zoomTo = focalLengthAt(optics, timeS) < longestMm * 0.99 ? longestMm : focalLengthMm;
    const to = track === 'zooms' ? zoomTo : Math.min(stopAt(optics, timeS) * 2, narrowestStop);
    dispatch(editPlan(track === 'zooms' ? 'add a zoom' : 'add an iris pull', (now) => addOpticsChange(now, track, timeS, to)));
  };
  return (
    <section>
      <h2>Iris pulls and zooms</h2>
      {optics.irisPulls.map((move) => (
        <MoveRow key={move.id} track="irisPulls" move={move} plan={plan} />
      ))}
      {optics.zooms.map((move) => (
        <MoveRow key={move.id} track="zooms" move={move} plan={plan} />
      ))}
      <div className={styles.rollingActions}>
        <Button onClick={() => add('irisPulls')}>Add an iris pull</Button>
        {isZoom(optics.lens) && <Button onClick={() => add('zooms')}>Add a zoom</Button>}
      </div>
      <Now plan={plan} />
    </section>
  );
}

/** Stop and focal length at the playhead, if they change. */
function Now({ plan: { optics } }: { readonly plan: ShotPlan }) {
  const timeS = useAppSelector((state) => selectSession(state).timeS);
  if (optics.irisPulls.length + optics.zooms.length === 0) return null;
  return (
    <p className={clsx(fieldStyles.fieldHint, textStyles.figure)} data-testid="optics-now">
      at the playhead {formatStop(stopAt(optics, timeS), optics.lens.stopScale)}
      {optics.zooms.length > 0 && ` · ${focalLengthAt(optics, timeS).toFixed(0)} mm`}
    </p>
  );
}

interface RowProps {
  readonly track: OpticsSetting;
  readonly move: OpticsChange;
  readonly plan: ShotPlan;
}

function MoveRow({ track, move, plan }: RowProps) {
  const dispatch = useAppDispatch();
  const { optics, captureFps, durationS } = plan;
  const moves = optics[track];
  const at = moves.indexOf(move);
  const earliestS = moves[at - 1] ? pullEndS(moves[at - 1]!) : 0;
  const latestS = moves[at + 1]?.startS ?? durationS;
  const word = track === 'zooms' ? 'zoom' : 'stop';
  const change = (name: string, changes: Parameters<typeof changeOpticsChange>[3], gesture?: string) =>
    dispatch(editPlan(name, (now) => changeOpticsChange(now, track, move.id, changes), gesture));
  return (
    <div className={styles.rollingRow} role="group" aria-label={`${word} ${at + 1}`}>
      <TimeField
        label={`${word} starts`}
        timeS={move.startS}
        captureFps={captureFps}
        decimals={2}
        minS={earliestS}
        maxS={latestS - move.durationS}
        onChange={(startS, gesture) => change(`move the ${word}`, { startS }, gesture)}
      />
      <TimeField
        label="duration"
        timeS={move.durationS}
        captureFps={captureFps}
        decimals={2}
        minS={0.04}
        maxS={latestS - move.startS}
        onChange={(durationS, gesture) => change(`change the duration of the ${word}`, { durationS }, gesture)}
      />
      {track === 'zooms' ? (
        <NumberField
          label="to"
          unit="mm"
          step={1}
          decimals={1}
          min={optics.lens.focalLengthMm}
          max={optics.lens.longestMm}
          value={move.to}
          onChange={(to, gesture) => change('change the end of the zoom', { to }, gesture)}
        />
      ) : (
        <IrisPullEnd move={move} optics={optics} onChange={change} />
      )}
      <Button
        look="quiet"
        aria-label={`Remove ${word} ${at + 1}`}
        onClick={() => dispatch(editPlan(`delete the ${word}`, (now) => removeOpticsChange(now, track, move.id)))}
      >
        ✕
      </Button>
    </div>
  );
}

interface IrisPullEndProps extends Pick<RowProps, 'move'> {
  readonly optics: ShotOptics;
  readonly onChange: (name: string, changes: Parameters<typeof changeOpticsChange>[3], gesture?: string) => void;
}

function IrisPullEnd({ move, optics, onChange }: IrisPullEndProps) {
  return (
    <QuantityField
      label="to"
      value={move.to}
      print={(stop) => formatStop(stop, optics.lens.stopScale)}
      read={(text) => {
        const widest = widestStopAt(optics.lens, focalLengthAt(optics, pullEndS(move)));
        const parsed = parseStop(text, { widest, narrowest: optics.lens.narrowestStop });
        return parsed.status === 'read' ? { value: parsed.stop } : { problem: problemText(parsed.problem) };
      }}
      onChange={(to, gesture) => onChange('change the end of the iris pull', { to }, gesture)}
    />
  );
}
