/** A face that has Arabic letters, fetched only where somebody reads them. */
import { Global } from "@emotion/react";
import file from "@fontsource-variable/noto-sans-arabic/files/noto-sans-arabic-arabic-wght-normal.woff2?url";

const FACE = {
  fontFamily: "Noto Sans Arabic Variable",
  fontWeight: "100 900",
  fontDisplay: "swap",
  src: `url(${file}) format("woff2-variations")`,
  unicodeRange: "U+0600-06FF, U+0750-077F, U+08A0-08FF, U+200C-200E, U+FB50-FDFF, U+FE70-FEFC",
};

export default function ArabicFace() {
  return <Global styles={{ "@font-face": FACE }} />;
}
