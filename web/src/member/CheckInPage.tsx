/** The next-morning check-in: one number, where, tingling or not. Ten seconds. */
import { Box, Button, Typography } from "@mui/material";
import { useState } from "react";
import { useNavigate } from "react-router";
import { dateAt } from "@kind-grip/core/calendar";
import { wordsIn } from "@kind-grip/core/language";
import { REGIONS, type Region } from "@kind-grip/core/library";
import { v7 as uuid } from "uuid";
import { Toggle } from "../parts/Toggle";
import { ZeroToTen } from "../parts/ZeroToTen";
import { PhoneTitle, useDay } from "./PhoneFrame";
import { putAway } from "./phone-store";
import { practiceTime } from "./use-phone";

export default function CheckInPage() {
  const words = wordsIn();
  const phone = useDay();
  const navigate = useNavigate();
  const [level, setLevel] = useState<number | null>(null);
  const [regions, setRegions] = useState<Region[]>([]);
  const [tingling, setTingling] = useState(false);
  const store = async () => {
    const day = dateAt(practiceTime(phone), phone.day.crew.timeZone);
    await putAway({ kind: "check-ins", body: { id: uuid(), day, level: level!, regions: level === 0 ? [] : regions, tingling } });
    await navigate("/me");
  };
  return (
    <>
      <PhoneTitle title={words.member("morningAsk")} lead={words.member("morningNothing")} />
      <ZeroToTen label={words.member("morningAsk")} nameOf={(value) => `${value}`} value={level} onChange={setLevel} size="thumb" />
      {level !== null && level > 0 && (
        <Box sx={{ mt: 3 }}>
          <Typography variant="h3" component="h2" sx={{ mb: 1 }}>
            {words.member("where")}
          </Typography>
          <Box sx={{ display: "flex", gap: 0.75, flexWrap: "wrap" }}>
            {REGIONS.map((region) => (
              <Toggle
                key={region}
                label={words.label("place", region)}
                pressed={regions.includes(region)}
                onChange={(on) => setRegions(on ? [...regions, region] : regions.filter((each) => each !== region))}
              />
            ))}
          </Box>
        </Box>
      )}
      <Box sx={{ my: 3 }}>
        <Toggle label={words.member("tinglingNight")} pressed={tingling} onChange={setTingling} />
      </Box>
      <Button
        variant="contained"
        fullWidth
        disabled={level === null}
        onClick={() => void store()}
        sx={{ minHeight: 60, fontSize: "1.2rem" }}
      >
        {words.member("keep")}
      </Button>
      <Button fullWidth onClick={() => void navigate("/me")} sx={{ mt: 1 }}>
        {words.member("back")}
      </Button>
    </>
  );
}
