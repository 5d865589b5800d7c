import { logText } from '@still-heron/wording';
import { Sentence } from '../../ui/Sentence';
import { useEffect, useMemo, useRef } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import clsx from 'clsx';
import { useProductionQuery } from '../../shared/api/api';
import { useStatisticsQuery, useTakeLogQuery } from '../../shared/api/takesApi';
import { useUnits } from '../../shared/useUnits';
import { Frame } from '../../ui/frame/Frame';
import { PageNote } from '../../ui/PageNote';
import { PreferenceChoices } from '../../ui/frame/PreferenceChoices';
import { Unreachable } from '../../ui/Unreachable';
import { TakesExchange } from '../takes/TakesExchange';
import { LogDetails } from './LogDetails';
import { LogFilters } from './LogFilters';
import { LogList } from './LogList';
import { isNarrowed, type LogQuery, printLogQuery, readLogQuery, requestOfLog } from './logQuery';
import { LogStatistics } from './LogStatistics';
import { WrapUp } from './WrapUp';
import textStyles from '../../ui/text.module.css';
import barStyles from '../../ui/frame/bars.module.css';
import layoutStyles from '../../ui/layout.module.css';
import styles from './LogPage.module.css';

/** Log of a production: search, filters, order, and statistics. */
export function LogPage() {
  const { productionId = '' } = useParams();
  const { data: production } = useProductionQuery(productionId);
  const units = useUnits();
  const [address, setAddress] = useSearchParams();
  const query = useMemo(() => readLogQuery(address), [address]);
  const log = useTakeLogQuery({ productionId, query: requestOfLog(query) });
  const statistics = useStatisticsQuery({ productionId, withSimulated: query.withSimulated });
  const newest = useRef(query);
  useEffect(() => {
    newest.current = query;
  }, [query]);
  // a new filter starts at page 1; one that is chosen before the page shows the one before adds to it
  const change = (changes: Partial<LogQuery>) => {
    newest.current = { ...newest.current, page: 1, ...changes };
    setAddress(printLogQuery(newest.current), { replace: true });
  };
  const retry = () => {
    void log.refetch();
    void statistics.refetch();
  };
  return (
    <Frame
      screen="log"
      top={
        <>
          <Link to={`/productions/${productionId}/shots`}>{production?.name}</Link>
          <span className={textStyles.muted} aria-hidden="true">
            /
          </span>
          <h1 className={barStyles.topTitle}>Takes</h1>
          <span className={barStyles.topBarGap} />
          <PreferenceChoices />
        </>
      }
    >
      {log.error && !log.data && <Unreachable error={log.error} retry={retry} />}
      {log.data && statistics.data && statistics.data.takes + statistics.data.simulated === 0 && (
        <PageNote title="No takes yet.">
          <p>Roll a take in a shot, or log one under Takes. A good take is logged by two keys.</p>
          <TakesExchange productionId={productionId} shot={null} />
        </PageNote>
      )}
      {log.data && statistics.data && statistics.data.takes + statistics.data.simulated > 0 && (
        <div className={clsx(layoutStyles.stepPage, styles.logPage)}>
          <div className={layoutStyles.surface}>
            <Sentence parts={[{ tone: 'plain', text: logText(statistics.data) }]} testId="log-sentence" />
            <LogFilters query={query} statistics={statistics.data} onChange={change} />
            <LogList page={log.data} query={query} isNarrowed={isNarrowed(query)} onPage={(page) => change({ page })} />
          </div>
          <aside data-testid="side" className={layoutStyles.side} aria-label="What the takes show">
            <WrapUp productionId={productionId} />
            <TakesExchange productionId={productionId} shot={null} />
            <LogStatistics statistics={statistics.data} />
            <LogDetails productionId={productionId} withSimulated={query.withSimulated} units={units} />
          </aside>
        </div>
      )}
    </Frame>
  );
}
