import {
  formatTime,
  HAND_TASKS,
  type HandClash,
  handClashes,
  handReliefs,
  handSpans,
  type HandSpan,
  PEOPLE,
  type Person,
  type ShotPlan,
} from '@still-heron/core';
import { HAND_TASK_WORDS, handClashText, handReliefText, PERSON_WORDS } from '@still-heron/wording';
import { Sentence } from '../../ui/Sentence';
import styles from './HandsView.module.css';
import textStyles from '../../ui/text.module.css';

/** Who does what by hand, and when: a lane for each task of each person, with the times at which somebody would need a third hand. */
export function HandsView({ plan }: { readonly plan: ShotPlan }) {
  const spans = handSpans(plan);
  const clashes = handClashes(spans);
  const [first] = clashes;
  const calm = spans.length === 0 ? 'Nobody turns or moves anything.' : 'Two hands are enough for everybody.';
  return (
    <>
      <Sentence testId="hands" parts={first ? [{ tone: 'edge', text: handClashText(first) }] : [{ tone: 'plain', text: calm }]} />
      <div className={styles.hands}>
        {PEOPLE.filter((who) => spans.some((span) => span.who === who)).map((who) => (
          <PersonLanes
            key={who}
            who={who}
            durationS={plan.durationS}
            spans={spans.filter((span) => span.who === who)}
            clashes={clashes.filter((clash) => clash.who === who)}
          />
        ))}
        <ul className={styles.clashes} aria-label="Where a third hand is wanted">
          {clashes.map((clash) => (
            <li key={`${clash.who} ${clash.fromS}`}>
              {handClashText(clash)}{' '}
              <span className={textStyles.muted}>{handReliefs(plan, clash).map(handReliefText).join(' ')}</span>
            </li>
          ))}
        </ul>
        <p className={textStyles.muted}>
          Assumed: one hand holds a camera that is carried, both hold a stabiliser, and a thumb turns a motor.
        </p>
      </div>
    </>
  );
}

interface PersonProps {
  readonly who: Person;
  readonly durationS: number;
  readonly spans: readonly HandSpan[];
  readonly clashes: readonly HandClash[];
}

function PersonLanes({ who, durationS, spans, clashes }: PersonProps) {
  return (
    <section aria-label={PERSON_WORDS[who].title}>
      <h2>{PERSON_WORDS[who].title}</h2>
      {HAND_TASKS.filter((task) => spans.some((span) => span.task === task)).map((task) => (
        <Lane
          key={task}
          name={HAND_TASK_WORDS[task]}
          durationS={durationS}
          spans={spans.filter((span) => span.task === task)}
          look={styles.span}
        />
      ))}
      {clashes.length > 0 && <Lane name="would need a third hand" durationS={durationS} spans={clashes} look={styles.clash} />}
      <div className={styles.lane} aria-hidden="true">
        <span />
        <span className={styles.ends}>
          <span>0 s</span>
          <span>{formatTime(durationS)}</span>
        </span>
      </div>
    </section>
  );
}

interface LaneProps {
  readonly name: string;
  readonly durationS: number;
  readonly spans: readonly { readonly fromS: number; readonly toS: number }[];
  readonly look: string | undefined;
}

function Lane({ name, durationS, spans, look }: LaneProps) {
  const times = spans.map(({ fromS, toS }) => `${fromS.toFixed(1)} to ${formatTime(toS)}`).join(', ');
  const shareOf = (timeS: number) => `${(100 * timeS) / durationS}%`;
  return (
    <div className={styles.lane} role="img" aria-label={`${name}: ${times}`}>
      <span className={textStyles.muted}>{name}</span>
      <span className={styles.track}>
        {spans.map(({ fromS, toS }) => (
          <span key={fromS} className={look} style={{ left: shareOf(fromS), width: shareOf(toS - fromS) }} />
        ))}
      </span>
    </div>
  );
}
