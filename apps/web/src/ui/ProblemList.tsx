import type { ProblemView } from '@still-heron/contract';
import { neededSentence } from '@still-heron/wording';

interface Props {
  readonly title: string;
  readonly problems: readonly ProblemView[];
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
        {problems.map((problem, index) => (
          <li key={index}>
            <strong className="figure">{problem.path}</strong> {neededSentence(problem)}
          </li>
        ))}
      </ul>
    </section>
  );
}
