import type { LoggedTakeView, TakePageView } from '@still-heron/contract';
import { hitOf, isSimulated, takeMethods } from '@still-heron/core';
import { FINDING_WORDS, methodList } from '@still-heron/wording';
import { Pagination } from '../../ui/antd/Pagination';
import { Link } from 'react-router';
import clsx from 'clsx';
import { TakeGrades } from '../takes/TakeList';
import { type LogQuery, PAGE_SIZE } from './logQuery';
import textStyles from '../../ui/text.module.css';
import styles from './LogList.module.css';

interface Props {
  readonly page: TakePageView;
  readonly query: LogQuery;
  readonly isNarrowed: boolean;
  readonly onPage: (page: number) => void;
}

const WHEN = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' });

/** One page of takes; each links to its shot. */
export function LogList({ page, query, isNarrowed, onPage }: Props) {
  if (page.total === 0)
    return <p className={clsx(textStyles.muted, styles.logNone)}>{isNarrowed ? 'No take matches.' : 'No takes yet.'}</p>;
  return (
    <>
      <ol className={styles.logList} aria-label="Takes">
        <li data-testid="log-head" className={styles.logHead} aria-hidden="true">
          <span>take</span>
          <span />
          <span>focus, performance</span>
          <span>faults</span>
          <span>gear</span>
          <span>predicted</span>
          <span>when</span>
        </li>
        {page.takes.map((row) => (
          <LogRow key={row.id} row={row} />
        ))}
      </ol>
      <div className={styles.logPages}>
        <Pagination
          current={query.page}
          total={page.total}
          pageSize={PAGE_SIZE}
          showSizeChanger={false}
          onChange={onPage}
          showTotal={(total, [from, to]) => `${from}–${to} of ${total}`}
        />
      </div>
    </>
  );
}

function LogRow({ row: { shotId, slate, title, number, rolledAt, take } }: { readonly row: LoggedTakeView }) {
  const { gear, predictedKeepRate } = take;
  const wrong = faults(take);
  return (
    <li>
      <Link to={`/shots/${shotId}/takes`} className={styles.logTake}>
        <strong className={textStyles.figure}>{slate}</strong>
        <span className={clsx(textStyles.figure, styles.logNumber, take.isCircled && styles.isCircled)}>{number}</span>
      </Link>
      <span className={styles.logTitle}>{title}</span>
      <span>
        <TakeGrades take={take} />
      </span>
      <span className={styles.logFaults}>
        {wrong}
        {take.note && (
          <span className={textStyles.muted}>
            {wrong && ' · '}
            {take.note}
          </span>
        )}
      </span>
      <span className={textStyles.muted}>
        {gear.focalLengthMm} mm {gear.stop} · {methodList(takeMethods(gear))}
        {gear.puller && ` · ${gear.puller}`}
        {isSimulated(take) && ' · simulated'}
      </span>
      <span className={textStyles.muted}>{predictedKeepRate === null ? '' : `${Math.round(predictedKeepRate * 100)} %`}</span>
      <span className={textStyles.muted}>{WHEN.format(new Date(rolledAt))}</span>
    </li>
  );
}

/** Faults without names of marks and people, because those belong to the shot. */
function faults({ hits, findings }: LoggedTakeView['take']): string {
  const found = [...hits.flatMap((one) => hitOf(one) ?? []), ...findings.map((one) => one.found)];
  const wrong = found.flatMap((one) => (one === 'hit' || one === 'fine' ? [] : FINDING_WORDS[one]));
  return [...new Set(wrong)]
    .map((word) => {
      const times = wrong.filter((other) => other === word).length;
      return times > 1 ? `${word} ${times} times` : word;
    })
    .join(', ');
}
