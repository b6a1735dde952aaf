/** What one notch of each limit would bring, the most first: to be tried here, or, for kit, as a shopping list to buy from. */
import { Box, Button, Typography } from "@mui/material";
import { Link } from "react-router";
import type { Notch, NotchGain } from "@kind-grip/core/compose";
import type { KitKind } from "@kind-grip/core/library";
import { listText } from "../base/measures";
import { t } from "../base/words";
import { useWords } from "../base/library";

interface OneNotchProps {
  gains: readonly NotchGain[] | undefined;
  onTry(notch: Notch): void;
  onBuy(kind: KitKind, count: number): void;
  /** Where the crew's kit is kept. */
  kitAt: string;
}

export function OneNotch({ gains, onTry, onBuy, kitAt }: OneNotchProps) {
  const words = useWords();
  if (!gains) return null;
  const nameOf = (notch: Notch): string => {
    switch (notch.kind) {
      case "minutes":
        return notch.withItem
          ? t("{{count}} more minutes and one more item: {{slot}}", {
              count: notch.min,
              slot: words.label("slot", notch.slot).toLowerCase(),
            })
          : t("{{count}} more minutes: {{slot}}", { count: notch.min, slot: words.label("slot", notch.slot).toLowerCase() });
      case "break":
        return t("One more stretch break a day");
      case "movement":
        return t("One more movement to remember");
      case "item":
        return t("One more item a session");
      case "kit":
        return `${notch.count} × ${words.label("kit", notch.kit).toLowerCase()}`;
    }
  };
  const brings = ({ regions }: NotchGain) =>
    regions.length === 0
      ? t("a little more here and there")
      : listText(
          regions.map(({ region, kind }) =>
            t("{{region}} {{kind}}", {
              region: words.label("region", region).toLowerCase(),
              kind: kind === "strength" ? t("strength") : t("relief"),
            }),
          ),
        );
  const press = ({ notch }: NotchGain) => {
    const name = nameOf(notch);
    return notch.kind === "kit"
      ? { text: t("Buy"), label: t("Buy: {{name}}", { name }), act: () => onBuy(notch.kit, notch.count) }
      : { text: t("Try it"), label: t("Try: {{name}}", { name }), act: () => onTry(notch) };
  };
  const list = (label: string, of: readonly NotchGain[], kit: boolean) =>
    of.length > 0 && (
      <Box component="section" aria-label={label}>
        <Typography variant="h3">{label}</Typography>
        <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
          {of.map((gain) => (
            <Box
              component="li"
              key={nameOf(gain.notch)}
              sx={{
                display: "flex",
                alignItems: "center",
                gap: 1.5,
                py: 0.5,
                borderBottom: "1px solid",
                borderColor: "line",
                minHeight: 48,
              }}
            >
              <Box sx={{ flex: 1, minWidth: 0 }}>
                <strong>{nameOf(gain.notch)}</strong>
                <Typography sx={{ color: "text.secondary", lineHeight: 1.3 }}>{brings(gain)}</Typography>
              </Box>
              <Button size="small" variant="outlined" onClick={press(gain).act} aria-label={press(gain).label}>
                {press(gain).text}
              </Button>
            </Box>
          ))}
        </Box>
        {kit && (
          <Button component={Link} to={kitAt} size="small" sx={{ mt: 0.5 }}>
            {t("Kit of the crew")}
          </Button>
        )}
      </Box>
    );
  const isKit = ({ notch }: NotchGain) => notch.kind === "kit";
  return (
    <Box component="section" aria-label={t("What one notch buys")} sx={{ borderTop: "2px solid", borderColor: "line", pt: 1.5, mb: 3 }}>
      <Typography variant="h2" sx={{ mb: 1 }}>
        {t("What one notch buys")}
      </Typography>
      {gains.length === 0 && (
        <Typography>
          {t("Nothing to speak of: no two minutes, break, movement, item or kit alone would meet more of what the work needs.")}
        </Typography>
      )}
      <Box
        sx={{ display: "grid", gridTemplateColumns: { xs: "minmax(0, 1fr)", sm: "1fr 1fr" }, columnGap: 4, rowGap: 2, alignItems: "start" }}
      >
        {list(
          t("Time and room"),
          gains.filter((gain) => !isKit(gain)),
          false,
        )}
        {list(t("Kit, what brings most first"), gains.filter(isKit), true)}
      </Box>
    </Box>
  );
}
