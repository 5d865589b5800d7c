import type { LoggedTakeView, TakePageView } from '@still-heron/contract';
import { isUsable, type LoggedHit } from '@still-heron/core';
import { METHOD_WORDS, HIT_WORDS } from '@still-heron/wording';
import { Pagination } from 'antd';
import { Link } from 'react-router';
import { type LogQuery, PAGE_SIZE } from './logQuery';

interface Props {
  readonly page: TakePageView;
  readonly query: LogQuery;
  readonly isNarrowed: boolean;
  readonly onPage: (page: number) => void;
}

const WHEN = new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' });

/** One page of takes; each links to its shot. */
export function LogList({ page, query, isNarrowed, onPage }: Props) {
  if (page.total === 0) return <p className="haze log-none">{isNarrowed ? 'No take matches.' : 'No takes yet.'}</p>;
  return (
    <>
      <ol className="log-list" aria-label="Takes">
        <li className="log-head" aria-hidden="true">
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
      <div className="log-pages">
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
  const wrong = faults(take.hits);
  return (
    <li className={isUsable(take) ? 'is-usable' : undefined}>
      <Link to={`/shots/${shotId}/takes`} className="log-take">
        <strong className="figure">{slate}</strong>
        <span className={take.isCircled ? 'figure log-number is-circled' : 'figure log-number'}>{number}</span>
      </Link>
      <span className="log-title">{title}</span>
      <span>
        <strong className={take.focus === 'sharp' ? 'tone-sharp' : take.focus === 'soft' ? 'tone-soft' : 'tone-edge'}>
          {take.focus ?? 'not checked'}
        </strong>
        {take.performance && `, ${take.performance}`}
      </span>
      <span className="log-faults">
        {wrong}
        {take.note && (
          <span className="haze">
            {wrong && ' · '}
            {take.note}
          </span>
        )}
      </span>
      <span className="haze">
        {gear.focalLengthMm} mm {gear.stop} · {METHOD_WORDS[gear.method].short}
        {gear.puller && ` · ${gear.puller}`}
      </span>
      <span className="haze">{predictedKeepRate === null ? '' : `${Math.round(predictedKeepRate * 100)} %`}</span>
      <span className="haze">{WHEN.format(new Date(rolledAt))}</span>
    </li>
  );
}

/** Faults without mark names, because those belong to the shot. */
function faults(hits: readonly LoggedHit[]): string {
  const wrong = hits.flatMap(({ hit }) => (hit === 'hit' ? [] : HIT_WORDS[hit]));
  return [...new Set(wrong)]
    .map((word) => {
      const times = wrong.filter((other) => other === word).length;
      return times > 1 ? `${word} ${times} times` : word;
    })
    .join(', ');
}
