import { Slider as AntdSlider, type SliderSingleProps } from 'antd';
import { Antd } from './Antd';

interface Props extends Pick<SliderSingleProps, 'min' | 'max' | 'step' | 'tooltip'> {
  readonly value: readonly [number, number];
  /** Labels of its two ends */
  readonly labels: readonly [string, string];
  readonly onChange: (value: [number, number]) => void;
}

/** A span on a bar, in our theme: either end is dragged or moved by the arrow keys, and the bar between them moves both. */
export function SpanSlider({ value, labels, onChange, ...props }: Props) {
  return (
    <Antd>
      <AntdSlider
        {...props}
        range={{ draggableTrack: true }}
        value={[...value]}
        ariaLabelForHandle={[...labels]}
        onChange={(ends: number[]) => onChange([ends[0]!, ends[1]!])}
      />
    </Antd>
  );
}
