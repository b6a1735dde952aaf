/** The description of the server's own calls. */
import { serverApi } from "../base/api";
import type { Description } from "./operations";

export const descriptionApi = serverApi.injectEndpoints({
  endpoints: (make) => ({ description: make.query<Description, void>({ query: () => "/openapi.json" }) }),
});
