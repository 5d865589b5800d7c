import type { ProblemView } from '@still-heron/contract';
import { neededSentence } from '@still-heron/wording';
import { Button } from './Button';
import styles from './ProblemList.module.css';
import textStyles from './text.module.css';

interface Props {
  readonly title: string;
  readonly problems: readonly ProblemView[];
  readonly onClose: () => void;
}

/** Problems of a file that was not read, with their places. Nothing was imported. */
export function ProblemList({ title, problems, onClose }: Props) {
  return (
    <section data-testid="problem-list" className={styles.problemList}>
      <header>
        <h2>{title}</h2>
        <Button look="quiet" onClick={onClose}>
          Close
        </Button>
      </header>
      <ul>
        {problems.map((problem, index) => (
          <li key={index}>
            <strong className={textStyles.figure}>{problem.path}</strong> {neededSentence(problem)}
          </li>
        ))}
      </ul>
    </section>
  );
}
