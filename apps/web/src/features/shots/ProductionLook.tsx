import type { ProductionView } from '@still-heron/contract';
import { Suspense, useState } from 'react';
import { lazyPart } from '../../shared/lazyPart';
import styles from './ProductionLook.module.css';

// rarely opened, and drop-downs are heavy
const LookFields = lazyPart(() => import('./LookFields').then(({ LookFields }) => LookFields));

/** How the piece looks: what new shots of a production begin with. */
export function ProductionLook({ production }: { readonly production: ProductionView }) {
  const [isOpen, setIsOpen] = useState(false);
  return (
    <details className={styles.look} onToggle={({ currentTarget }) => setIsOpen(currentTarget.open)}>
      <summary>Look and frame of new shots</summary>
      {isOpen && (
        <Suspense>
          <LookFields production={production} />
        </Suspense>
      )}
    </details>
  );
}
