import { Link } from 'react-router';
import textStyles from '../text.module.css';
import barStyles from './bars.module.css';
import { PreferenceChoices } from './PreferenceChoices';

/** Top bar of a page that is reached from the productions. */
export function TopBelowProductions({ title }: { readonly title: string }) {
  return (
    <>
      <Link to="/productions">Productions</Link>
      <span className={textStyles.muted} aria-hidden="true">
        /
      </span>
      <h1 className={barStyles.topTitle}>{title}</h1>
      <span className={barStyles.topBarGap} />
      <PreferenceChoices />
    </>
  );
}
