import { drawLayoutOf, partFigures, type ShotPlan } from '@still-heron/core';
import { METHOD_WORDS, of100, partResult, partTimes } from '@still-heron/wording';
import { useMemo } from 'react';
import { useAppDispatch } from '../../shared/store/hooks';
import { playheadMoved } from '../shot/sessionSlice';
import { RANKS } from '../../shared/workers/simulation/defaults';
import { useTrialRates } from '../shot/useTrialRates';
import layoutStyles from '../../ui/layout.module.css';
import textStyles from '../../ui/text.module.css';
import styles from './PartsPanel.module.css';

const PART_TRIALS = 800;

/** The parts of a shot that has several methods: what each comes to as planned, and how many takes it keeps by itself. */
export function PartsPanel({ plan }: { readonly plan: ShotPlan }) {
  const dispatch = useAppDispatch();
  const parts = useMemo(() => partFigures(plan), [plan]);
  const asked = useMemo(() => parts.filter((figures) => figures.plan !== null), [parts]);
  const asks = useMemo(() => {
    const order = drawLayoutOf(plan);
    return asked.map((figures) => ({ plan: figures.plan!, order, without: null }));
  }, [plan, asked]);
  const { known } = useTrialRates(asked, asks, { takes: PART_TRIALS, rank: RANKS.methods });
  const rateOf = (index: number) => (known?.key === asked && index >= 0 ? (known.progress.rates[index] ?? null) : null);
  return (
    <ul className={styles.parts} aria-label="Methods of the parts">
      {parts.map((figures) => {
        const { part } = figures;
        const rate = rateOf(asked.indexOf(figures));
        return (
          <li key={part.fromS}>
            <button type="button" className={layoutStyles.goThere} onClick={() => dispatch(playheadMoved(part.fromS))}>
              <span className={textStyles.figure}>{partTimes(part)}</span> <strong>{METHOD_WORDS[part.method].short}</strong>
            </button>
            <span>
              {partResult(figures)}
              {rate && `, ${of100(rate.keepRate)} takes`}
            </span>
          </li>
        );
      })}
    </ul>
  );
}
