/** Where somebody agreed to be reminded: given on their own phone, with what it is used for, and taken back there as easily. */
import { Box, Button, TextField, Typography } from "@mui/material";
import { useRef, useState } from "react";
import * as v from "valibot";
import type { ContactEntry } from "@kind-grip/core/api";
import { dateAt } from "@kind-grip/core/calendar";
import { Contact, type ContactWay, type WrittenWay } from "@kind-grip/core/contact";
import { useWords } from "../base/library";
import { memberApi } from "./api";
import { Away } from "./Away";
import { AskForPhone } from "./AskForPhone";
import { endPush } from "./push";

const LABEL = { push: "contactPush", email: "contactEmail", telephone: "contactTelephone" } as const satisfies Record<ContactWay, string>;
const FIELD = {
  email: { wrong: "contactWrongEmail", type: "email", autoComplete: "email" },
  telephone: { wrong: "contactWrongTelephone", type: "tel", autoComplete: "tel" },
} as const;

/** @param timeZone of the crew: the day they said so is the one it was there */
export function OwnContacts({ timeZone }: { timeZone: string }) {
  const words = useWords();
  const { data } = memberApi.useOwnContactsQuery();
  // What was pressed is gone afterwards: the keyboard goes on from here, and a telephone opens none.
  const title = useRef<HTMLHeadingElement>(null);
  const goOn = () => title.current?.focus();
  if (!data || data.ways.length === 0) return null;
  return (
    <Box component="section" aria-labelledby="reached">
      <Typography id="reached" ref={title} tabIndex={-1} variant="h2" sx={{ fontSize: "1.25rem", mb: 0.5 }}>
        {words.member("contactTitle")}
      </Typography>
      <Typography sx={{ color: "text.secondary", mb: 2, maxWidth: "34em" }}>{words.member("contactWhy")}</Typography>
      {data.ways.map((way) => {
        const given = data.contacts.find((each) => each.way === way);
        if (given) return <Given key={way} contact={given} timeZone={timeZone} onDone={goOn} />;
        if (way !== "push") return <Ask key={way} way={way} onDone={goOn} />;
        return data.pushKey && <AskForPhone key={way} serverKey={data.pushKey} onDone={goOn} />;
      })}
    </Box>
  );
}

interface GivenProps {
  contact: ContactEntry;
  timeZone: string;
  onDone(): void;
}

function Given({ contact: { id, way, address, givenAt, givenBy }, timeZone, onDone }: GivenProps) {
  const words = useWords();
  const [takeBack, { isLoading, error }] = memberApi.useWithdrawOwnContactMutation();
  const day = words.dayName(dateAt(Date.parse(givenAt), timeZone));
  const end = async () => {
    const { error: refused } = await takeBack(id);
    if (refused) return;
    if (way === "push") await endPush();
    onDone();
  };
  return (
    <Box sx={{ borderTop: "1px solid", borderColor: "line", py: 1.25 }}>
      <Box sx={{ display: "flex", gap: 1.5, alignItems: "center", flexWrap: "wrap" }}>
        <Box sx={{ flex: "1 1 200px", minWidth: 0 }}>
          <Typography sx={{ color: "text.secondary" }}>{words.member(LABEL[way])}</Typography>
          {/* Numbers and addresses are read from left to right in every language. */}
          <Typography sx={{ fontWeight: 650, overflowWrap: "anywhere" }}>
            <bdi dir="ltr">{address}</bdi>
          </Typography>
          <Typography sx={{ color: "text.secondary" }}>
            {givenBy === null ? words.member("contactSince", { day }) : words.member("contactSinceBy", { day, name: givenBy })}
          </Typography>
        </Box>
        <Button
          variant="outlined"
          disabled={isLoading}
          aria-label={`${words.member("contactBack")}: ${words.member(LABEL[way])}`}
          onClick={() => void end()}
        >
          {words.member("contactBack")}
        </Button>
      </Box>
      {error && <Away />}
    </Box>
  );
}

function Ask({ way, onDone }: { way: WrittenWay; onDone(): void }) {
  const words = useWords();
  const [give, { isLoading, error }] = memberApi.useGiveOwnContactMutation();
  const [address, setAddress] = useState("");
  const [wrong, setWrong] = useState(false);
  const { wrong: wrongText, ...field } = FIELD[way];
  const agree = () => {
    const contact = v.safeParse(Contact, { way, address });
    setWrong(!contact.success);
    if (contact.success) void give(contact.output).then(({ error: refused }) => refused ?? onDone());
  };
  return (
    <Box
      component="form"
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        agree();
      }}
      sx={{ borderTop: "1px solid", borderColor: "line", py: 1.5 }}
    >
      <Box sx={{ display: "flex", gap: 1.5, flexWrap: "wrap", alignItems: "flex-start" }}>
        <TextField
          {...field}
          label={words.member(LABEL[way])}
          value={address}
          onChange={({ target }) => setAddress(target.value)}
          error={wrong}
          helperText={wrong ? words.member(wrongText) : undefined}
          sx={{ flex: "1 1 220px" }}
          slotProps={{ htmlInput: { dir: "ltr", maxLength: 160 } }}
        />
        <Button type="submit" variant="outlined" size="large" disabled={isLoading || address.trim() === ""}>
          {words.member("contactAgree")}
        </Button>
      </Box>
      {error && <Away />}
    </Box>
  );
}
