import { preload } from './app/pages';

// everything this address needs is asked for at once; the page starts when its own part is here
preload(window.location.pathname);
void import('./app/start');
