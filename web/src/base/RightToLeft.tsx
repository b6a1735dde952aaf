/** Pages that run from right to left: their rules turned round. Fetched only by who reads them. */
import createCache from "@emotion/cache";
import { CacheProvider } from "@emotion/react";
import rtlPlugin from "@mui/stylis-plugin-rtl";
import type { ReactNode } from "react";
import { prefixer } from "stylis";

const turned = createCache({ key: "rtl", stylisPlugins: [prefixer, rtlPlugin] });

export default function RightToLeft({ children }: { children?: ReactNode }) {
  return <CacheProvider value={turned}>{children}</CacheProvider>;
}
