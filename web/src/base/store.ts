import { configureStore } from "@reduxjs/toolkit";
import { setupListeners } from "@reduxjs/toolkit/query";
import { useDispatch, useSelector } from "react-redux";
import { serverApi } from "./api";
import { connectionReducer } from "./connection";
import { noticeReducer } from "./notices";

/** A store of its own for every test; the page has one. */
export const makeStore = () =>
  configureStore({
    reducer: { [serverApi.reducerPath]: serverApi.reducer, connection: connectionReducer, notice: noticeReducer },
    middleware: (defaults) => defaults({ serializableCheck: false, immutableCheck: false }).concat(serverApi.middleware),
  });

export const store = makeStore();
setupListeners(store.dispatch);

export type AppState = ReturnType<typeof store.getState>;
export const useAppDispatch = useDispatch.withTypes<typeof store.dispatch>();
export const useAppSelector = useSelector.withTypes<AppState>();
export type AppDispatch = typeof store.dispatch;
