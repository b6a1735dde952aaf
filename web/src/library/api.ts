/** Custom movements of the practice. */
import type { CustomMovementEntry } from "@kind-grip/core/api";
import type { CustomMovement } from "@kind-grip/core/library";
import { serverApi } from "../base/api";

export const libraryApi = serverApi.injectEndpoints({
  endpoints: (make) => ({
    /** The custom movements of the practice; the frame puts them into the library of every page. */
    movements: make.query<CustomMovementEntry[], void>({
      query: () => "/movements",
      providesTags: ["Movements"],
    }),
    storeMovement: make.mutation<CustomMovementEntry, { id: string; version: number; custom: CustomMovement }>({
      query: ({ id, ...body }) => ({ url: `/movements/${id}`, method: "PUT", body }),
      invalidatesTags: (done) => (done ? ["Movements"] : []),
    }),
    importMovement: make.mutation<CustomMovementEntry, { id: string; text: string }>({
      query: ({ id, ...body }) => ({ url: `/movements/${id}/import`, method: "POST", body }),
      invalidatesTags: (done) => (done ? ["Movements"] : []),
    }),
    removeMovement: make.mutation<void, string>({
      query: (id) => ({ url: `/movements/${id}`, method: "DELETE" }),
      invalidatesTags: ["Movements"],
    }),
    restoreMovement: make.mutation<void, string>({
      query: (id) => ({ url: `/movements/${id}/restore`, method: "POST" }),
      invalidatesTags: ["Movements"],
    }),
  }),
});
