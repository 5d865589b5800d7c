import { cameraSentence } from '@still-heron/wording';
import { useState } from 'react';
import clsx from 'clsx';
import { useOpenItem } from '../useOpenItem';
import { today } from '../../../shared/today';
import { AidGuide } from './AidGuide';
import { AidMatrix } from './AidMatrix';
import { CameraFigures } from './CameraFigures';
import { Sentence } from '../../../ui/Sentence';
import layoutStyles from '../../../ui/layout.module.css';
import styles from './CameraPage.module.css';

/** A camera: test results of its focus aids, and its recording modes. */
export function CameraPage() {
  const { item, edit } = useOpenItem('cameras');
  const [isGuided, setIsGuided] = useState(false);
  if (!item) return null;
  return (
    <div className={layoutStyles.stepPage}>
      <div data-testid="surface" className={clsx(layoutStyles.surface, styles.cameraSurface)}>
        <Sentence parts={cameraSentence(item, today())} />
        {isGuided ? (
          <AidGuide camera={item} onChange={edit} onClose={() => setIsGuided(false)} />
        ) : (
          <AidMatrix camera={item} onChange={edit} onGuide={() => setIsGuided(true)} />
        )}
      </div>
      <CameraFigures camera={item} onChange={edit} />
    </div>
  );
}
