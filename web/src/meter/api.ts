/** The simulated meter. */
import { serverApi } from "../base/api";

export const meterApi = serverApi.injectEndpoints({
  endpoints: (make) => ({
    meter: make.query<{ address: string | null }, void>({ query: () => "/meter" }),
  }),
});
