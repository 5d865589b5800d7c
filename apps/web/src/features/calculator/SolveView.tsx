import {
  airyDiameterMm,
  type LensSetup,
  depthOfField,
  fNumberOf,
  formatDistance,
  formatStop,
  holdBoth,
  MM_PER_INCH,
  ringOf,
  stopForAllowance,
  stopOfFNumber,
  stopsAt,
  type UnitSystem,
  widestStopAt,
  zoneLensOf,
} from '@still-heron/core';
import { useState } from 'react';
import clsx from 'clsx';
import { DistanceField } from '../../ui/fields/DistanceField';
import { NumberField } from '../../ui/fields/NumberField';
import { attempt } from './attempt';
import type { CalculatorProps } from './calculatorProps';
import { FaceFeatures } from './FaceFeatures';
import { Button } from '../../ui/Button';
import styles from './SolveView.module.css';
import textStyles from '../../ui/text.module.css';
import fieldStyles from '../../ui/fields/fields.module.css';

/** Inverse questions about the zone: which stop, which focus distance, is the nose still sharp. */
export function SolveView(props: CalculatorProps) {
  return (
    <div className={styles.solve}>
      <HoldBoth {...props} />
      <Allowance {...props} />
      <FaceFeatures {...props} />
      <Hyperfocal {...props} />
    </div>
  );
}

/** A stop as an answer, if the lens offers it. */
function StopAnswer({ optics, fNumber, onStop }: { optics: LensSetup; fNumber: number; onStop: (stop: number) => void }) {
  const { lens } = optics;
  const stop = stopOfFNumber(lens, fNumber);
  const text = formatStop(stop, lens.stopScale);
  if (stop > lens.narrowestStop)
    return (
      <p className={textStyles.toneSoft}>
        It needs {Number.isFinite(stop) ? text : 'narrower than any stop'}, and the lens stops down to{' '}
        {formatStop(lens.narrowestStop, lens.stopScale)}.
      </p>
    );
  const widest = widestStopAt(lens, optics.focalLengthMm);
  const set = Math.max(stop, widest);
  // the next third that is narrow enough, because a ring is set to thirds
  const third = stopsAt(lens, optics.focalLengthMm).find((item) => item >= set - 1e-9) ?? lens.narrowestStop;
  const airyMm = airyDiameterMm(fNumberOf(lens, third), 0);
  const circleMm = zoneLensOf(optics).circleOfConfusionMm;
  return (
    <>
      <p>
        <strong className={textStyles.toneSharp}>{formatStop(third, lens.stopScale)}</strong>{' '}
        {stop < widest ? 'the widest stop is more than enough' : `or narrower; exactly ${text}`}{' '}
        <Button size="small" onClick={() => onStop(third)}>
          Use this stop
        </Button>
      </p>
      {airyMm > circleMm && (
        <p className={textStyles.toneEdge}>
          At {formatStop(third, lens.stopScale)} diffraction makes every point {(airyMm * 1000).toFixed(1)} µm wide, more than the{' '}
          {(circleMm * 1000).toFixed(1)} µm of the circle of confusion.
        </p>
      )}
    </>
  );
}

function HoldBoth({ optics, units, onStop }: CalculatorProps) {
  const [nearMm, setNearMm] = useState(2000);
  const [farMm, setFarMm] = useState(4000);
  const answer = attempt(() => holdBoth(zoneLensOf(optics), nearMm, farMm));
  const ring = ringOf(optics.lens);
  return (
    <section aria-label="Two distances sharp">
      <h2>Two distances sharp at once</h2>
      <div className={fieldStyles.fieldPair}>
        <DistanceField label="from" distanceMm={nearMm} units={units} onChange={setNearMm} testId="hold-near" />
        <DistanceField label="to" distanceMm={farMm} units={units} onChange={setFarMm} testId="hold-far" />
      </div>
      {'problem' in answer ? (
        <p className={textStyles.toneSoft}>{answer.problem}</p>
      ) : (
        <>
          <p>
            Focus at <strong className={textStyles.toneSharp}>{formatDistance(answer.value.focusDistanceMm, units)}</strong>
            {answer.value.focusDistanceMm < ring.closeFocusMm && ', closer than the lens can focus'}.
          </p>
          <StopAnswer optics={optics} fNumber={answer.value.fNumber} onStop={onStop} />
        </>
      )}
    </section>
  );
}

function Allowance({ optics, units, onStop }: CalculatorProps) {
  const [atMm, setAtMm] = useState(2500);
  const [nearerMm, setNearerMm] = useState(150);
  const [fartherMm, setFartherMm] = useState(150);
  const [unit, unitMm] = unitOf(units);
  const answer = attempt(() => stopForAllowance(zoneLensOf(optics), atMm, nearerMm, fartherMm));
  const gap = (label: string, valueMm: number, set: (mm: number) => void) => (
    <NumberField
      label={label}
      unit={unit}
      decimals={1}
      step={1}
      min={0}
      max={5000 / unitMm}
      value={valueMm / unitMm}
      onChange={(value) => set(value * unitMm)}
    />
  );
  return (
    <section aria-label="Allow for a miss">
      <h2>Allow for a miss</h2>
      <div className={fieldStyles.fieldPair}>
        <DistanceField label="the mark is at" distanceMm={atMm} units={units} onChange={setAtMm} />
        <span />
        {gap('may be closer by', nearerMm, setNearerMm)}
        {gap('may be farther by', fartherMm, setFartherMm)}
      </div>
      {'problem' in answer ? (
        <p className={textStyles.toneSoft}>{answer.problem}</p>
      ) : (
        <StopAnswer optics={optics} fNumber={answer.value} onStop={onStop} />
      )}
    </section>
  );
}

function Hyperfocal({ optics, units, onStop }: CalculatorProps) {
  const { lens } = optics;
  const glass = zoneLensOf(optics);
  const stops = stopsAt(lens, optics.focalLengthMm).filter((_, index, all) => index % 3 === 0 || index === all.length - 1);
  return (
    <section aria-label="Hyperfocal distances">
      <h2>Everything to infinity</h2>
      <p className={textStyles.muted}>Focus at the hyperfocal distance: sharp from half of it to infinity.</p>
      <table className={styles.hyperTable}>
        <thead>
          <tr>
            <th scope="col">stop</th>
            <th scope="col">focus at</th>
            <th scope="col">sharp from</th>
          </tr>
        </thead>
        <tbody>
          {stops.map((stop) => {
            const at = { ...glass, fNumber: fNumberOf(lens, stop) };
            const { hyperfocalMm } = depthOfField({ ...at, focusDistanceMm: Infinity });
            const { nearMm } = depthOfField({ ...at, focusDistanceMm: hyperfocalMm });
            return (
              <tr key={stop} className={clsx(Math.abs(stop - optics.stop) < 1e-9 && styles.isHere)}>
                <th scope="row">
                  <Button look="quiet" className={textStyles.figure} onClick={() => onStop(stop)}>
                    {formatStop(stop, lens.stopScale)}
                  </Button>
                </th>
                <td className={textStyles.figure}>{formatDistance(hyperfocalMm, units)}</td>
                <td className={textStyles.figure}>{formatDistance(nearMm, units)}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}

function unitOf(units: UnitSystem): readonly [string, number] {
  return units === 'metric' ? ['cm', 10] : ['in', MM_PER_INCH];
}
