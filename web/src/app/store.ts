import { configureStore } from "@reduxjs/toolkit";
import { setupListeners } from "@reduxjs/toolkit/query";
import { useDispatch, useSelector } from "react-redux";
import { editorReducer } from "../program/editor-state";
import { serverApi } from "./api";
import { connectionReducer } from "./connection";
import { noticeReducer } from "./notices";

export const store = configureStore({
  reducer: { [serverApi.reducerPath]: serverApi.reducer, connection: connectionReducer, editor: editorReducer, notice: noticeReducer },
  middleware: (defaults) => defaults({ serializableCheck: false, immutableCheck: false }).concat(serverApi.middleware),
});
setupListeners(store.dispatch);

export type AppState = ReturnType<typeof store.getState>;
export const useAppDispatch = useDispatch.withTypes<typeof store.dispatch>();
export const useAppSelector = useSelector.withTypes<AppState>();
export type AppDispatch = typeof store.dispatch;
