import { createContext } from 'react';
import type { Light } from '../../shared/preferences';

/** The light that the page is shown in. */
export const LightContext = createContext<Light>('dusk');
