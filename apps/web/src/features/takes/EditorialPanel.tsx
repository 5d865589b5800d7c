import type { TakeRowView } from '@still-heron/contract';
import {
  captureForScreenS,
  formatStops,
  PLAN_LIMITS,
  rankSpans,
  frameRateFigures,
  isSimulated,
  retime,
  screenTimeS,
  setGoals,
  type ShotPlan,
  spanWords,
  takesOfAlternate,
  usableSpansOf,
  type RankedSpan,
} from '@still-heron/core';
import { useState } from 'react';
import { useEdit } from '../shot/useEdit';
import { NumberField } from '../../ui/fields/NumberField';
import { TakesExchange } from './TakesExchange';
import textStyles from '../../ui/text.module.css';
import styles from './EditorialPanel.module.css';

interface Props {
  readonly productionId: string;
  readonly shot: { readonly id: string; readonly slate: string; readonly plan: ShotPlan };
  readonly takes: readonly TakeRowView[];
}

const BEST = 5;
/** Default limit of the playback speed for soft parts. */
const DEFAULT_MAX_SPEED = 4;

/** For the editor: best spans, their length on screen, and retimed takes. */
export function EditorialPanel({ productionId, shot, takes: all }: Props) {
  const { plan } = shot;
  // an editor has no footage of a simulated take, and asks about the alternate that is shown
  const takes = all.filter(({ take }) => !isSimulated(take) && takesOfAlternate(plan, [take]).length > 0);
  const { captureFps, deliveryFps } = plan;
  const spans = rankSpans(takes).slice(0, BEST);
  const edit = useEdit();
  const wantedS = plan.goals.screenTimeS ?? Math.round(screenTimeS(plan.durationS, captureFps, deliveryFps) * 10) / 10;
  const [fastest, setFastest] = useState(DEFAULT_MAX_SPEED);
  const { stretch, slowestSpeed, lightCostStops } = frameRateFigures(captureFps, deliveryFps);
  const [best] = spans;
  const take = takes.find(({ number }) => number === best?.number)?.take;
  const retimed = take && retime(take.durationS, usableSpansOf(take), wantedS, { fastest, slowest: Math.min(1, slowestSpeed) });
  return (
    <>
      <TakesExchange productionId={productionId} shot={shot} wish={{ fastest, wantedScreenS: wantedS }} />
      <BestSpans spans={spans} takes={takes} captureFps={captureFps} deliveryFps={deliveryFps} />
      <section>
        <h2>On screen</h2>
        <NumberField
          label="wanted on screen without a cut, s"
          {...PLAN_LIMITS.screenTimeS}
          step={0.1}
          decimals={1}
          value={wantedS}
          onChange={(seconds, gesture) =>
            edit('change the time on screen', (now) => setGoals(now, { screenTimeS: seconds }), gesture)
          }
        />
        <NumberField
          label="soft parts played faster, up to"
          min={1}
          max={64}
          step={1}
          decimals={1}
          value={fastest}
          onChange={setFastest}
        />
        {stretch !== 1 && (
          <p>
            Captured at {captureFps}, played back at {deliveryFps}: one second lasts{' '}
            <strong>{Number(stretch.toFixed(2))} s</strong> on screen and costs {formatStops(lightCostStops)} of light. For the
            wanted time, {captureForScreenS(wantedS, captureFps, deliveryFps).toFixed(1)} s of sharp material are enough.
          </p>
        )}
        {retimed && best && (
          <p>
            Take {best.number} retimed: <strong>{retimed.screenTimeS.toFixed(1)} s</strong> on screen, of which{' '}
            {retimed.softScreenS.toFixed(1)} s are soft.
            {retimed.missingS > 0 && (
              <span className={textStyles.toneSoft}>
                {' '}
                {retimed.missingS.toFixed(1)} s are missing: played slower, frames would repeat.
              </span>
            )}
          </p>
        )}
      </section>
    </>
  );
}

interface BestSpansProps extends Pick<Props, 'takes'> {
  readonly spans: RankedSpan[];
  readonly captureFps: number;
  readonly deliveryFps: number;
}

function BestSpans({ spans, takes, captureFps, deliveryFps }: BestSpansProps) {
  return (
    <section>
      <h2>Best spans</h2>
      {spans.length === 0 && <p className={textStyles.muted}>Nothing usable yet.</p>}
      <ol className={styles.bestSpans}>
        {spans.map((span) => (
          <li key={`${span.number} ${span.fromS}`}>
            <strong>take {span.number}</strong>{' '}
            <span className={textStyles.figure}>{spanWords(span, takes.find(({ number }) => number === span.number)!.take)}</span>
            <span className={textStyles.muted}> {screenTimeS(span.lengthS, captureFps, deliveryFps).toFixed(1)} s on screen</span>
          </li>
        ))}
      </ol>
    </section>
  );
}
