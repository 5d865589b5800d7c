import { formatTimeFigure, parseTime } from '@still-heron/core';
import { problemText, type TimeLimit, timeRefusal } from '@still-heron/wording';
import { QuantityField, type QuantityFieldProps, type Reading } from './QuantityField';

type Props = Pick<QuantityFieldProps<number>, 'label' | 'onChange' | 'hint' | 'testId'> & {
  readonly timeS: number;
  readonly captureFps: number;
  readonly minS: number;
  readonly maxS: number;
  /** Reason for the limits */
  readonly reason?: TimeLimit;
  readonly decimals?: 1 | 2;
};

/** Field for a time in seconds or frames: 3.2, 1:02.5, 80f. Arrow keys step a frame. */
export function TimeField({ timeS, captureFps, minS, maxS, reason, decimals = 1, ...rest }: Props) {
  const print = (value: number) => (decimals === 2 && value < 60 ? value.toFixed(2) : formatTimeFigure(value));
  return (
    <QuantityField
      {...rest}
      value={timeS}
      print={print}
      unit="s"
      read={(text): Reading<number> => {
        const parsed = parseTime(text, captureFps);
        if (parsed.status === 'unread') return { problem: problemText(parsed.problem) };
        // limits are displayed rounded, so the rounded value counts as the limit
        const value = [minS, maxS].find((bound) => print(bound) === print(parsed.timeS)) ?? parsed.timeS;
        if (value < minS || value > maxS) {
          return { problem: timeRefusal(value, { minS, maxS, reason }, print) };
        }
        return { value };
      }}
      nudge={(value, steps) => Math.min(Math.max(value + steps / captureFps, minS), maxS)}
    />
  );
}
