/** One short notice at the foot of the screen, with a way to undo where there is one. */
import { createSlice, type PayloadAction } from "@reduxjs/toolkit";

export interface Notice {
  text: string;
  /** Called when the person takes it back; an answer with an error says that it was not. */
  undo?: () => unknown;
}

const notice = createSlice({
  name: "notice",
  initialState: null as (Notice & { shown: number }) | null,
  reducers: {
    notify: (state, { payload }: PayloadAction<Notice>) => ({ ...payload, shown: (state?.shown ?? 0) + 1 }),
    closeNotice: () => null,
  },
});

export const { notify, closeNotice } = notice.actions;
export const noticeReducer = notice.reducer;
