import "@fontsource-variable/atkinson-hyperlegible-next";
import CssBaseline from "@mui/material/CssBaseline";
import { ThemeProvider } from "@mui/material/styles";
import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { Provider } from "react-redux";
import { BrowserRouter } from "react-router";
import { Places } from "./Places";
import { store } from "../base/store";
import { theme } from "../base/theme";
import { reloadForLostCode } from "../base/lost-code";

reloadForLostCode();

createRoot(document.getElementById("root")!).render(
  <StrictMode>
    <Provider store={store}>
      <ThemeProvider theme={theme} defaultMode="light">
        <CssBaseline />
        <BrowserRouter>
          <Places />
        </BrowserRouter>
      </ThemeProvider>
    </Provider>
  </StrictMode>,
);
