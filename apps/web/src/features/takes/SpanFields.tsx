import { TAKE_LIMITS, takeTimeText, type UsableSpan } from '@still-heron/core';
import { SpanSlider } from '../../ui/antd/Slider';
import { Button } from '../../ui/Button';
import { TakeTimeField, type TimedTake } from './TakeTimeField';
import textStyles from '../../ui/text.module.css';
import styles from './TakeMore.module.css';

interface Props {
  /** What is done with them: "use" */
  readonly label: string;
  readonly spans: readonly UsableSpan[];
  /** They come from the track; a change makes them said by a person */
  readonly isMeasured?: boolean;
  readonly take: TimedTake;
  readonly onChange: (spans: readonly UsableSpan[]) => void;
  /** Back to what the track shows */
  readonly onForget?: () => void;
}

/** Length of a new span, if the take is long enough. */
const NEW_S = 2;

/** Spans of a take, with in and out typed as seconds or timecode. */
export function SpanFields({ label, spans, isMeasured = false, take, onChange, onForget }: Props) {
  const endS = take.durationS;
  const replace = (index: number, change: Partial<UsableSpan>) =>
    onChange(spans.map((span, at) => (at === index ? { ...span, ...change } : span)));
  const add = () => {
    const fromS = Math.min(spans.at(-1)?.toS ?? 0, Math.max(endS - NEW_S, 0));
    onChange([...spans, { fromS, toS: Math.min(fromS + NEW_S, Math.max(endS, 0.1)) }]);
  };
  return (
    <div role="group" aria-label={label} className={styles.takeSpans}>
      {spans.map(({ fromS, toS }, index) => (
        // spans have no id, and their order is theirs
        <div key={index} className={styles.takeSpan}>
          <div className={styles.takeSpanBar}>
            <SpanSlider
              min={0}
              max={Math.max(endS, toS)}
              step={1 / take.gear.captureFps}
              value={[fromS, toS]}
              labels={[`${label} ${index + 1}: in`, `${label} ${index + 1}: out`]}
              tooltip={{ formatter: (timeS) => takeTimeText(timeS ?? 0, take) }}
              onChange={([from, to]) => to > from && replace(index, { fromS: from, toS: to })}
            />
          </div>
          <TakeTimeField
            label={`${label} from`}
            timeS={fromS}
            take={take}
            refusal={(at) => (at < toS ? null : 'It must begin before it ends.')}
            onChange={(at) => replace(index, { fromS: at })}
          />
          <TakeTimeField
            label="to"
            timeS={toS}
            take={take}
            refusal={(at) => (at > fromS ? null : 'It must end after it begins.')}
            onChange={(at) => replace(index, { toS: at })}
          />
          <Button look="quiet" onClick={() => onChange(spans.filter((_, at) => at !== index))}>
            Remove
          </Button>
        </div>
      ))}
      <p>
        <Button look="quiet" disabled={spans.length >= TAKE_LIMITS.usable.max} onClick={add}>
          Add a span: {label}
        </Button>
        {isMeasured && <span className={textStyles.muted}> These come from its track.</span>}
        {onForget && !isMeasured && spans.length > 0 && (
          <Button look="quiet" onClick={onForget}>
            Say nothing of spans
          </Button>
        )}
      </p>
    </div>
  );
}
