import type { SentencePart } from '@still-heron/wording';
import clsx from 'clsx';
import type { ComponentProps } from 'react';
import layoutStyles from './layout.module.css';
import textStyles from './text.module.css';

interface Props extends Omit<ComponentProps<'p'>, 'children'> {
  readonly parts: readonly SentencePart[];
  /** Moves the playhead to the time of a soft part */
  readonly onTime?: (timeS: number) => void;
  readonly testId?: string;
}

/** The sentence at the top of a page. */
export function Sentence({ parts, onTime, testId = 'sentence', ...rest }: Props) {
  return (
    <p className={layoutStyles.sentence} data-testid={testId} {...rest}>
      <TonedText parts={parts} onTime={onTime} />
    </p>
  );
}

/** Parts of a sentence in the colours of their tones. */
export function TonedText({ parts, onTime }: Pick<Props, 'parts' | 'onTime'>) {
  return parts.map(({ tone, text, atS }) =>
    onTime && tone === 'soft' && atS !== undefined ? (
      <button
        key={text}
        type="button"
        className={clsx(layoutStyles.goThere, textStyles.toneSoft)}
        title="Move the playhead there"
        onClick={() => onTime(atS)}
      >
        {text}{' '}
      </button>
    ) : (
      <span key={text} className={tone === 'plain' ? undefined : textStyles[`tone-${tone}`]}>
        {text}{' '}
      </span>
    ),
  );
}
