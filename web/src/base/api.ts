/** The ground of every call: one token, one way to tell that the connection is away. Each subject adds its own calls (`<subject>/api.ts`). */
import { createApi, fetchBaseQuery, type BaseQueryFn, type FetchArgs, type FetchBaseQueryError } from "@reduxjs/toolkit/query/react";
import type { Me, Problem } from "@kind-grip/core/api";
import { t } from "./words";
import { connectionFound, connectionLost, roomFound, roomLost } from "./connection";

/** The body of every answer that is not 2xx. */
export type ProblemBody = Problem;

let csrfToken = "";

const plain = fetchBaseQuery({ baseUrl: "/api", timeout: 20_000, prepareHeaders: (headers) => headers.set("x-csrf-token", csrfToken) });

const watched: BaseQueryFn<string | FetchArgs, unknown, FetchBaseQueryError> = async (args, api, extra) => {
  let answer = await plain(args, api, extra);
  // The token went stale with its session (server restarted, eight hours passed): fetch a new one and try once more.
  if (answer.error?.status === 403 && (answer.error.data as ProblemBody | undefined)?.code === "csrf") {
    const me = await plain("/me", api, extra);
    if (me.data) csrfToken = (me.data as Me).csrfToken;
    answer = await plain(args, api, extra);
  }
  const full = (answer.error?.data as ProblemBody | undefined)?.code === "diskFull";
  if (full) api.dispatch(roomLost());
  else if (!answer.error && api.type === "mutation") {
    api.dispatch(roomFound());
    // Whatever was changed, a step of the crew's job may be further now.
    api.dispatch(serverApi.util.invalidateTags(["Path"]));
  }
  const away =
    !full &&
    answer.error &&
    (answer.error.status === "FETCH_ERROR" || answer.error.status === "TIMEOUT_ERROR" || answer.error.status === 503);
  api.dispatch(away ? connectionLost() : connectionFound());
  const me = answer.data as Me | undefined;
  if (me && typeof me === "object" && "csrfToken" in me) csrfToken = me.csrfToken;
  if (answer.error?.status === 401 && ["signedOut", "otherOwner"].includes((answer.error.data as ProblemBody).code))
    api.dispatch(serverApi.util.invalidateTags(["Me"]));
  return answer;
};

/** What is asked for again when something of it has changed. */
export const TAGS = [
  "Texts",
  "Me",
  "Path",
  "Crews",
  "Colleagues",
  "People",
  "Programs",
  "Templates",
  "Plan",
  "Bookings",
  "Observations",
  "Runs",
  "FirstAid",
  "Movements",
  "Work",
  "Rounds",
  "Safety",
  "Decisions",
  "Practice",
  "Access",
  "Sessions",
  "Tokens",
] as const;

export const serverApi = createApi({
  reducerPath: "server",
  baseQuery: watched,
  tagTypes: TAGS,
  refetchOnReconnect: true,
  endpoints: (make) => ({
    /** Who is signed in; every other call stands on its token. */
    me: make.query<Me, void>({ query: () => "/me", providesTags: ["Me"] }),
  }),
});

/** Who is signed in here: what is kept in the browser belongs to them. Empty for nobody. */
export function useOwner(): string {
  return serverApi.useMeQuery().data?.account?.email ?? "";
}

/** What went wrong, in words for a person; field problems by path. */
export function problemOf(error: unknown): ProblemBody {
  const data = (error as { data?: Partial<ProblemBody> } | undefined)?.data;
  if (data?.message) return { code: data.code ?? "", message: data.message, fields: data.fields ?? [], detail: data.detail };
  return { code: "away", message: t("The server cannot be reached at the moment. Nothing you typed is lost."), fields: [] };
}
