import type { Problem } from '@still-heron/core';

interface Props {
  readonly title: string;
  readonly problems: readonly Problem[];
  readonly onClose: () => void;
}

/** Problems of a file that was not read, with their places. Nothing was imported. */
export function ProblemList({ title, problems, onClose }: Props) {
  return (
    <section className="problem-list">
      <header>
        <h2>{title}</h2>
        <button type="button" className="quiet" onClick={onClose}>
          Close
        </button>
      </header>
      <ul>
        {problems.map(({ path, message, need }, index) => (
          <li key={index}>
            <strong className="figure">{path}</strong> {message}. Needed: {need}.
          </li>
        ))}
      </ul>
    </section>
  );
}
