import { loadPages } from './app/pages';

// load everything this address needs in parallel; the page starts when its own chunk is there
loadPages(window.location.pathname).catch((error: unknown) => console.warn(error));
void import('./app/start');
