import 'reflect-metadata';

/** What the start needs once the database opens: most of the code. */
export { ADDRESS_FILE } from './backups/commands.js';
export { createApp } from './create-app.js';
export { NetworkService } from './network/network.service.js';
