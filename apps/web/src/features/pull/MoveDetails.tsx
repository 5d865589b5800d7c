import {
  ASSUMED_HAND,
  changeRack,
  type LineTarget,
  markDistances,
  PLAN_LIMITS,
  type Rack,
  rackEndS,
  rackRoom,
  removeRack,
  targetDistanceMm,
  targetName,
  formatDistance,
} from '@still-heron/core';
import { Button, Select } from 'antd';
import { useAppDispatch } from '../../app/store';
import { DistanceField } from '../../fields/DistanceField';
import { Explain } from '../../fields/Explain';
import { TextField } from '../../fields/TextField';
import { TimeField } from '../../fields/TimeField';
import { itemSelected } from '../shot/sessionSlice';
import { editPlan } from '../shot/shotSlice';
import type { SideProps } from './PullSide';

const GRADE_TONES = { comfortable: 'tone-sharp', workable: 'tone-sharp', tight: 'tone-edge', beyond: 'tone-soft' } as const;

/** A pull: when it starts and lands, where it goes, what sets it off, and how it sits with a hand. */
export function MoveDetails({ move, plan, verdict, units }: SideProps & { readonly move: Rack }) {
  const dispatch = useAppDispatch();
  const name = targetName(move.target, plan, units);
  const change = (what: string, changes: Parameters<typeof changeRack>[2], gesture?: string) =>
    dispatch(editPlan(what, (now) => changeRack(now, move.id, changes), gesture));
  const room = rackRoom(plan, move.id);
  const shortestS = PLAN_LIMITS.rackS.min;
  const judged = verdict?.moves.find(({ moveId }) => moveId === move.id);
  const distances = markDistances(plan.marks);
  const targetKey = move.target.kind === 'mark' ? move.target.markId : 'distance';
  const aim = (key: string) => {
    const target: LineTarget =
      key === 'distance'
        ? { kind: 'distance', distanceMm: finite(targetDistanceMm(move.target, distances)) }
        : { kind: 'mark', markId: key };
    change('aim the pull', { target });
  };
  return (
    <section aria-label={`The pull to ${name}`}>
      <h2>The pull to {name}</h2>
      <div className="field-pair">
        <TimeField
          label="starts"
          decimals={2}
          timeS={move.startS}
          captureFps={plan.captureFps}
          minS={room.earliestStartS}
          maxS={Math.max(room.earliestStartS, room.latestEndS - move.durationS)}
          why="the pulls beside it and the shot's ends leave no more room"
          testId="move-starts"
          onChange={(startS, gesture) => change(`start the pull to ${name}`, { startS }, gesture)}
        />
        <TimeField
          label="lasts"
          decimals={2}
          timeS={move.durationS}
          captureFps={plan.captureFps}
          minS={shortestS}
          maxS={room.latestEndS - move.startS}
          why="the next pull or the shot's end comes then"
          testId="move-lasts"
          hint={`lands at ${rackEndS(move).toFixed(2)} s`}
          onChange={(durationS, gesture) => change(`land the pull to ${name}`, { durationS }, gesture)}
        />
        <label className="field">
          <span className="field-label">goes to</span>
          <Select
            value={targetKey}
            options={[
              ...plan.marks.map(({ id, letter, distanceMm }) => ({
                value: id,
                label: `${letter} · ${formatDistance(distanceMm ?? Infinity, units)}`,
              })),
              { value: 'distance', label: 'a distance' },
            ]}
            onChange={aim}
          />
        </label>
        {move.target.kind === 'distance' && (
          <DistanceField
            label="which"
            distanceMm={targetDistanceMm(move.target, distances)}
            units={units}
            onChange={(mm, gesture) => change('aim the pull', { target: { kind: 'distance', distanceMm: finite(mm) } }, gesture)}
          />
        )}
      </div>
      <TextField
        label="cue"
        value={move.cue}
        max={PLAN_LIMITS.cue.max}
        placeholder="a line, a look, a hand"
        className="cue-field"
        onChange={(cue) => change('change the cue', { cue })}
      />
      {judged && (
        <dl className="hand-facts">
          <div>
            <dt>turn</dt>
            <dd className="figure">
              <Explain
                what={judged.wheel ? 'Turn of the wheel' : 'Turn of the ring'}
                lines={[
                  `the ring from ${judged.from.ringDeg.toFixed(1)}° to ${judged.to.ringDeg.toFixed(1)}°`,
                  ...(judged.wheel
                    ? [
                        `the wheel turns ${plan.wheel!.wheelPerRing} × as far; its landing is ${judged.wheel.windowOnDiscMm.toFixed(1)} mm on the disc`,
                        ...(judged.wheel.regrips > 0 ? [`${judged.wheel.regrips} new grips on the way`] : []),
                      ]
                    : []),
                  `at most ${judged.peakDegPerS.toFixed(0)}°/s: 1.875 × ${judged.travelDeg.toFixed(1)}° / ${judged.availableS.toFixed(2)} s`,
                ]}
              >
                {(judged.wheel?.travelDeg ?? judged.travelDeg).toFixed(1)}°
              </Explain>
              <span className="haze"> {judged.towards === 'nowhere' ? 'none' : `towards ${judged.towards}`}</span>
            </dd>
          </div>
          {Math.abs(judged.breathingPercent) >= 0.05 && (
            <div>
              <dt>the picture</dt>
              <dd className="figure">
                <Explain
                  what="Breathing of the lens on the way"
                  lines={[
                    `${plan.optics.lens.breathingPercent} % from infinity to close focus, as Kit has it`,
                    'in proportion to how far the lens moves out: an assumption',
                  ]}
                >
                  {Math.abs(judged.breathingPercent).toFixed(1)} %
                </Explain>
                <span className="haze"> {judged.breathingPercent > 0 ? 'wider' : 'narrower'}</span>
              </dd>
            </div>
          )}
          <div>
            <dt>a hand needs</dt>
            <dd className="figure">
              <Explain
                what="Least time a hand needs"
                lines={[
                  `${ASSUMED_HAND.reactionS} s + ${ASSUMED_HAND.perBitS} s × ${judged.bits.toFixed(2)} bits`,
                  `bits = log₂(${judged.travelDeg.toFixed(1)}° / ${judged.windowDeg.toFixed(2)}° + 1): the turn over the window it must land in`,
                  `the window: ${judged.nearRoomDeg.toFixed(2)}° on the near side, ${judged.farRoomDeg.toFixed(2)}° on the far side`,
                  'the hand is an assumption until your own is measured',
                ]}
              >
                {judged.neededS.toFixed(2)} s
              </Explain>
            </dd>
          </div>
          <div>
            <dt>it has</dt>
            <dd className="figure">
              {judged.availableS.toFixed(2)} s <strong className={`grade ${GRADE_TONES[judged.grade]}`}>{judged.grade}</strong>
            </dd>
          </div>
        </dl>
      )}
      <Button
        onClick={() => {
          dispatch(editPlan(`remove the pull to ${name}`, (now) => removeRack(now, move.id)));
          dispatch(itemSelected(null));
        }}
      >
        Remove this pull
      </Button>
    </section>
  );
}

/** Infinity is null in a plan. */
function finite(mm: number): number | null {
  return mm === Infinity ? null : mm;
}
