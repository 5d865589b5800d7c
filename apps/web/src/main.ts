import { preload } from './app/pages';

// load everything this address needs in parallel; the page starts when its own chunk is there
preload(window.location.pathname);
void import('./app/start');
