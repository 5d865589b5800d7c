import { formatDistance, type UnitSystem } from '@still-heron/core';
import { neededSentence, type ProblemText, typeSentence } from '@still-heron/wording';
import { Button } from 'antd';
import { useState } from 'react';
import { readDistance } from '../../ui/fields/readDistance';

/** A rejected action and what to do instead; nothing was changed. */
export function FloorNotice({ problem, onClose }: { readonly problem: ProblemText; readonly onClose: () => void }) {
  return (
    <p className="floor-notice tone-soft" role="alert">
      {neededSentence(problem)} Nothing was changed.
      <Button size="small" onClick={onClose}>
        Continue
      </Button>
    </p>
  );
}

/** Asks for the real length of a line drawn on the picture. */
export function KnownLength({
  units,
  onLength,
  onGiveUp,
}: {
  readonly units: UnitSystem;
  readonly onLength: (mm: number) => void;
  readonly onGiveUp: () => void;
}) {
  const [text, setText] = useState('');
  const [problem, setProblem] = useState<ProblemText | null>(null);
  return (
    <form
      className="floor-notice"
      onSubmit={(event) => {
        event.preventDefault();
        const reading = readDistance(text, units, { minMm: 50, maxMm: 500_000, reason: 'floor-length' });
        if ('problem' in reading) setProblem(reading.problem);
        else onLength(reading.value);
      }}
    >
      <label>
        The length you drew is{' '}
        <input
          className="field-input figure"
          value={text}
          placeholder={formatDistance(2000, units)}
          autoFocus
          autoComplete="off"
          aria-invalid={problem !== null}
          onChange={(event) => {
            setText(event.target.value);
            setProblem(null);
          }}
        />{' '}
        .
      </label>
      <Button htmlType="submit" type="primary">
        Set the scale
      </Button>
      <Button onClick={onGiveUp}>Cancel</Button>
      {problem && (
        <span className="field-problem" role="alert">
          {typeSentence(problem)}
        </span>
      )}
    </form>
  );
}
