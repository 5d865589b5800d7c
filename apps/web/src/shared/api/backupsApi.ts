import type { BackupsView, BackupView, RestoredView } from '@still-heron/contract';
import { api } from './api';

/** Endpoints for backups. */
const backupsApi = api.enhanceEndpoints({ addTagTypes: ['Takes', 'Log', 'Revisions', 'Backups'] }).injectEndpoints({
  endpoints: (build) => ({
    backups: build.query<BackupsView, void>({ query: () => 'backups', providesTags: ['Backups'] }),
    makeBackup: build.mutation<BackupView, void>({
      query: () => ({ url: 'backups', method: 'POST' }),
      invalidatesTags: ['Backups'],
    }),
    restoreBackup: build.mutation<RestoredView, string>({
      query: (name) => ({ url: `backups/${name}/restore`, method: 'POST' }),
      // nothing that was read before is true any more
      invalidatesTags: ['Production', 'Shots', 'Kit', 'Takes', 'Log', 'Revisions', 'Backups'],
    }),
  }),
});

export const { useBackupsQuery, useMakeBackupMutation, useRestoreBackupMutation } = backupsApi;
