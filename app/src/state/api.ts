import type { Easing, Shot, ShotCard } from '@humble/core';
import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react';

/** One line of the list, as the server sends it. */
export interface ShotSummary {
  readonly id: string;
  readonly revision: number;
  readonly name: string;
  readonly film: string;
  readonly lengthFrames: number;
  readonly rate: number;
  readonly updatedAt: string;
  readonly card: ShotCard;
}

export interface StoredShot {
  readonly id: string;
  readonly revision: number;
  readonly updatedAt: string;
  readonly shot: Shot;
}

/** An easing that is kept by a name, for any shot. */
export interface KeptEasing {
  readonly id: string;
  readonly name: string;
  readonly easing: Easing;
}

export interface SaveRequest {
  readonly id: string;
  readonly revision: number;
  readonly shot: Shot;
}

/** An answer that takes longer than this counts as a server that is away, milliseconds. */
const LONGEST_WAIT_MS = 15_000;

export const api = createApi({
  reducerPath: 'api',
  baseQuery: fetchBaseQuery({ baseUrl: '/api', timeout: LONGEST_WAIT_MS }),
  tagTypes: ['List', 'Easings'],
  endpoints: (build) => ({
    listShots: build.query<readonly ShotSummary[], void>({
      query: () => '/shots',
      transformResponse: (answer: { shots: ShotSummary[] }) => answer.shots,
      providesTags: ['List'],
    }),
    readShot: build.query<StoredShot, string>({ query: (id) => `/shots/${id}`, keepUnusedDataFor: 0 }),
    createShot: build.mutation<StoredShot, Shot>({
      query: (shot) => ({ url: '/shots', method: 'POST', body: { shot } }),
      invalidatesTags: ['List'],
    }),
    saveShot: build.mutation<Omit<StoredShot, 'shot'>, SaveRequest>({
      query: ({ id, ...body }) => ({ url: `/shots/${id}`, method: 'PUT', body }),
      invalidatesTags: ['List'],
    }),
    duplicateShot: build.mutation<StoredShot, string>({
      query: (id) => ({ url: `/shots/${id}/duplicate`, method: 'POST' }),
      invalidatesTags: ['List'],
    }),
    removeShot: build.mutation<void, string>({
      query: (id) => ({ url: `/shots/${id}`, method: 'DELETE' }),
      invalidatesTags: ['List'],
    }),
    listEasings: build.query<readonly KeptEasing[], void>({
      query: () => '/easings',
      transformResponse: (answer: { easings: KeptEasing[] }) => answer.easings,
      providesTags: ['Easings'],
    }),
    keepEasing: build.mutation<KeptEasing, Omit<KeptEasing, 'id'>>({
      query: (body) => ({ url: '/easings', method: 'POST', body }),
      invalidatesTags: ['Easings'],
    }),
    removeEasing: build.mutation<void, string>({
      query: (id) => ({ url: `/easings/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Easings'],
    }),
    restoreShot: build.mutation<StoredShot, string>({
      query: (id) => ({ url: `/shots/${id}/restore`, method: 'POST' }),
      invalidatesTags: ['List'],
    }),
  }),
});

export const { useListShotsQuery, useListEasingsQuery, useKeepEasingMutation, useRemoveEasingMutation } = api;

/** What went wrong with a request, in terms of what can be done about it. */
export type Failure =
  | { readonly kind: 'away' }
  | { readonly kind: 'stale'; readonly current: StoredShot }
  | { readonly kind: 'gone' | 'removed'; readonly sentence: string }
  | { readonly kind: 'refused'; readonly sentence: string };

interface QueryError {
  readonly status?: unknown;
  readonly data?: unknown;
}

/** Sorts an error of a request. Anything that is not the server's own answer counts as away. */
export function failureOf(error: unknown): Failure {
  const { status, data } = (error ?? {}) as QueryError;
  if (typeof status !== 'number' || status >= 500 || status === 429) return { kind: 'away' };
  const problem = (typeof data === 'object' && data !== null ? data : {}) as {
    detail?: string;
    current?: StoredShot;
  };
  if (status === 409 && problem.current) return { kind: 'stale', current: problem.current };
  const sentence = problem.detail ?? 'The server refused the request.';
  if (status === 410) return { kind: 'removed', sentence };
  return { kind: status === 404 ? 'gone' : 'refused', sentence };
}

export const AWAY_SENTENCE = 'The server does not answer. Try again when it is back.';

/** The sentence to show for a failed request outside the open shot. */
export function failureSentence(error: unknown): string {
  const failure = failureOf(error);
  return 'sentence' in failure ? failure.sentence : AWAY_SENTENCE;
}
