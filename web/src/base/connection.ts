/** Whether the server and its records can be reached, and have room for more. */
import { createSlice } from "@reduxjs/toolkit";

const connection = createSlice({
  name: "connection",
  initialState: { away: false, full: false },
  reducers: {
    connectionLost: (state) => ({ ...state, away: true }),
    connectionFound: (state) => (state.away ? { ...state, away: false } : state),
    roomLost: (state) => ({ ...state, full: true }),
    roomFound: (state) => (state.full ? { ...state, full: false } : state),
  },
});

export const { connectionLost, connectionFound, roomLost, roomFound } = connection.actions;
export const connectionReducer = connection.reducer;
