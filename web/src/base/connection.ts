/** Whether the server and its records can be reached. */
import { createSlice } from "@reduxjs/toolkit";

const connection = createSlice({
  name: "connection",
  initialState: { away: false },
  reducers: {
    connectionLost: () => ({ away: true }),
    connectionFound: (state) => (state.away ? { away: false } : state),
  },
});

export const { connectionLost, connectionFound } = connection.actions;
export const connectionReducer = connection.reducer;
