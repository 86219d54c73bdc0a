import { persistenceWords as words } from '../words/persistence';
import type { Immutable, Shot } from '@humble/core';
import type { AnswerOf, EndpointName } from '@humble/core/contract';
import { addressOf, API, ROUTES } from '@humble/core/routes';
import { knownShots } from './laterParts';
import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react';

export type ListedShot = Immutable<AnswerOf<'listShots'>>['shots'][number];
export type RemovedShot = Immutable<AnswerOf<'listRemoved'>>['shots'][number];
export type RevisionPage = Immutable<AnswerOf<'listRevisions'>>;
export type ListedRevision = RevisionPage['revisions'][number];
export type ShotRevision = Immutable<AnswerOf<'readRevision'>>;
export type RestoredShot = Immutable<AnswerOf<'restoreShot'>>;
export type StoredShot = Immutable<AnswerOf<'readShot'>>;
/** An easing that is kept by a name, for any shot; null when the server holds none that can be read. */
export type KeptEasing = Immutable<AnswerOf<'listEasings'>>['easings'][number];

export type ImportedShot = Immutable<AnswerOf<'importShot'>>;

export interface FileToImport {
  readonly name: string;
  readonly bytes: Uint8Array;
  readonly firstNumber: number;
}

/** Names of files are kept up to so many letters. */
export const MAX_FILE_NAME_LENGTH = 120;

export interface SaveRequest {
  readonly id: string;
  readonly revision: number;
  readonly shot: Shot;
}

const ask = (
  name: EndpointName,
  params: Readonly<Record<string, string>> = {},
  body?: object,
  headers?: Readonly<Record<string, string>>,
) => ({
  url: addressOf(name, params),
  method: ROUTES[name].method,
  ...(body && { body }),
  ...(headers && { headers }),
});

/** An answer that takes longer than this counts as a server that is away, milliseconds. */
const MAX_WAIT_MS = 15_000;

export const api = createApi({
  reducerPath: 'api',
  baseQuery: fetchBaseQuery({ baseUrl: API, timeout: MAX_WAIT_MS }),
  tagTypes: ['List', 'Easings', 'Revisions'],
  endpoints: (build) => ({
    listShots: build.query<readonly ListedShot[], void>({
      query: () => ask('listShots'),
      transformResponse: (answer: Immutable<AnswerOf<'listShots'>>) => answer.shots,
      providesTags: ['List'],
      onQueryStarted: async (_, { queryFulfilled }) => {
        const { data } = await queryFulfilled.catch(() => ({ data: null }));
        // A part that cannot be fetched keeps nothing, and holds nothing up.
        if (data)
          await knownShots()
            .then(({ keepList }) => keepList(data))
            .catch(() => undefined);
      },
    }),
    listRemoved: build.query<readonly RemovedShot[], void>({
      query: () => ask('listRemoved'),
      transformResponse: (answer: Immutable<AnswerOf<'listRemoved'>>) => answer.shots,
      providesTags: ['List'],
      keepUnusedDataFor: 0,
    }),
    readShot: build.query<StoredShot, string>({
      query: (id) => ask('readShot', { id }),
      keepUnusedDataFor: 0,
    }),
    listRevisions: build.query<RevisionPage, { readonly id: string; readonly before: number }>({
      query: ({ id, before }) => ask('listRevisions', { id, before: String(before) }),
      providesTags: ['Revisions'],
      keepUnusedDataFor: 0,
    }),
    readPastShot: build.query<StoredShot, { readonly id: string; readonly revision: number }>({
      query: ({ id, revision }) => ask('readPastShot', { id, revision: String(revision) }),
      keepUnusedDataFor: 60,
    }),
    readRevision: build.query<ShotRevision, string>({
      query: (id) => ask('readRevision', { id }),
      keepUnusedDataFor: 0,
    }),
    removeForGood: build.mutation<void, string>({
      query: (id) => ask('removeForGood', { id }),
      invalidatesTags: ['List'],
    }),
    emptyBin: build.mutation<void, void>({
      query: () => ask('emptyBin'),
      invalidatesTags: ['List'],
    }),
    createShot: build.mutation<StoredShot, Shot>({
      query: (shot) => ask('createShot', {}, { shot }),
      invalidatesTags: ['List'],
    }),
    importShot: build.mutation<ImportedShot, FileToImport>({
      query: ({ name, bytes, firstNumber }) =>
        ask('importShot', {}, new Blob([bytes as BlobPart]), {
          'content-type': 'application/octet-stream',
          'x-file-name': encodeURIComponent(name.slice(0, MAX_FILE_NAME_LENGTH)),
          'x-first-frame': String(firstNumber),
        }),
      invalidatesTags: ['List'],
    }),
    saveShot: build.mutation<Immutable<AnswerOf<'saveShot'>>, SaveRequest>({
      query: ({ id, ...body }) => ask('saveShot', { id }, body),
      invalidatesTags: ['List', 'Revisions'],
    }),
    duplicateShot: build.mutation<StoredShot, string>({
      query: (id) => ask('duplicateShot', { id }),
      invalidatesTags: ['List'],
    }),
    removeShot: build.mutation<void, string>({
      query: (id) => ask('removeShot', { id }),
      invalidatesTags: ['List'],
    }),
    orderShots: build.mutation<void, readonly string[]>({
      query: (ids) => ask('orderShots', {}, { ids }),
      invalidatesTags: ['List'],
    }),
    loadDemo: build.mutation<void, void>({
      query: () => ask('loadDemo', {}, {}),
      invalidatesTags: ['List'],
    }),
    listEasings: build.query<readonly KeptEasing[], void>({
      query: () => ask('listEasings'),
      transformResponse: (answer: Immutable<AnswerOf<'listEasings'>>) => answer.easings,
      providesTags: ['Easings'],
    }),
    keepEasing: build.mutation<KeptEasing, Omit<KeptEasing, 'id'>>({
      query: (body) => ask('keepEasing', {}, body),
      invalidatesTags: ['Easings'],
    }),
    removeEasing: build.mutation<void, string>({
      query: (id) => ask('removeEasing', { id }),
      invalidatesTags: ['Easings'],
    }),
    restoreShot: build.mutation<RestoredShot, string>({
      query: (id) => ask('restoreShot', { id }),
      invalidatesTags: ['List'],
    }),
  }),
});

export const {
  useListShotsQuery,
  useListRemovedQuery,
  useListRevisionsQuery,
  useListEasingsQuery,
  useKeepEasingMutation,
  useRemoveEasingMutation,
  useRemoveForGoodMutation,
  useEmptyBinMutation,
} = api;

export const documentAddress = (id: string): string => API + addressOf('readDocument', { id });

export type Failure =
  | { readonly kind: 'stale'; readonly current: StoredShot }
  | {
      readonly kind:
        /** No answer at all. */
        | 'offline'
        /** The server answers, but could not do it now. */
        | 'failed'
        | 'gone'
        | 'removed'
        | 'damaged'
        /** What was sent is not taken. */
        | 'refused';
      readonly sentence: string;
    };

interface QueryError {
  readonly status?: unknown;
  readonly data?: unknown;
}

export const OFFLINE_SENTENCE = words.serverAwayTryAgain;
const TOO_SLOW_SENTENCE = words.serverSlow;

const DAMAGED = new Set(['/problems/damaged-shot', '/problems/newer-version']);

/** Sorts an error of a request. Only where there was no answer is it said that there was none. */
export function failureOf(error: unknown): Failure {
  const { status, data } = (error ?? {}) as QueryError;
  if (status === 'TIMEOUT_ERROR') return { kind: 'offline', sentence: TOO_SLOW_SENTENCE };
  if (status === 'PARSING_ERROR') return { kind: 'failed', sentence: words.answerUnreadable };
  if (typeof status !== 'number') return { kind: 'offline', sentence: OFFLINE_SENTENCE };
  const problem = (typeof data === 'object' && data !== null ? data : {}) as {
    type?: string;
    detail?: string;
    current?: StoredShot;
  };
  if (status === 409 && problem.current) return { kind: 'stale', current: problem.current };
  if (status >= 500 || status === 429)
    return { kind: 'failed', sentence: problem.detail ?? words.serverError(status) };
  const sentence = problem.detail ?? words.theServerRefusedThis(status);
  if (status === 410) return { kind: 'removed', sentence };
  if (status === 404) return { kind: 'gone', sentence };
  return { kind: DAMAGED.has(problem.type ?? '') ? 'damaged' : 'refused', sentence };
}

export function failureSentence(error: unknown): string {
  const failure = failureOf(error);
  return failure.kind === 'stale' ? words.changedElsewhere : failure.sentence;
}
