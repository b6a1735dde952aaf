/** Sign-in cards of crew members: code, PIN and a square to photograph; shown this once, to print and cut. */
import { Alert, Box, Button, Typography } from "@mui/material";
import { ArrowLeft, Printer } from "lucide-react";
import { toString } from "qrcode";
import { useEffect, useState } from "react";
import { Link, useLocation } from "react-router";
import { hasLeft } from "@kind-grip/core/crew";
import { LANGUAGE_FACTS, languageOf, type Language } from "@kind-grip/core/language";
import { dateAt } from "@kind-grip/core/calendar";
import type { Card, PersonEntry } from "@kind-grip/core/api";
import { t } from "../base/words";
import { crewApi } from "./api";
import { problemOf, serverApi } from "../base/api";
import { FaceOf } from "../base/language";
import { useWordsIn } from "../base/library";
import { firstListText } from "../base/lists";
import { useNow } from "../base/now";
import { ConfirmDialog } from "../parts/ConfirmDialog";
import { Loaded } from "../parts/Loaded";
import { PageTitle } from "../parts/PageTitle";
import { Toggle } from "../parts/Toggle";
import { useCrew } from "./CrewFrame";

export default function CardsPage() {
  const crew = useCrew();
  const people = crewApi.usePeopleQuery(crew.id);
  const access = crewApi.useAccessQuery(crew.id);
  const { data: me } = serverApi.useMeQuery();
  const [issue, { data: issued, isLoading, error }] = crewApi.useIssueCardsMutation();
  const [withdraw, withdrawing] = crewApi.useWithdrawAccessMutation();
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set(useLocation().state?.personIds as string[] | undefined));
  const [asking, setAsking] = useState(false);
  const today = dateAt(useNow(), crew.timeZone);
  const problem = error ?? withdrawing.error;
  return (
    <>
      <PageTitle
        title={t("Sign-in cards")}
        lead={t(
          "A crew member opens their own page with the square on the card, or with the crew code and their PIN at /me. New cards end the old ones.",
        )}
      >
        <Button component={Link} to=".." relative="path" startIcon={<ArrowLeft size={20} />}>
          {t("People")}
        </Button>
        {issued && (
          <Button variant="contained" startIcon={<Printer size={20} />} onClick={() => print()}>
            {t("Print {{count}} cards", { count: issued.cards.length, defaultValue_one: "Print {{count}} card" })}
          </Button>
        )}
      </PageTitle>
      {problem && (
        <Alert severity="error" variant="outlined" sx={{ mb: 2 }}>
          {problemOf(problem).message}
        </Alert>
      )}
      {window.isSecureContext === false && (
        <Alert severity="warning" variant="outlined" sx={{ mb: 2, "@media print": { display: "none" } }}>
          {t(
            "This address begins with http. Phones need https: without it their page does not open without a connection, counts nothing and the screen may go dark. The notes on running it say how.",
          )}
        </Alert>
      )}
      {issued ? (
        <>
          <Alert severity="warning" variant="outlined" sx={{ mb: 2, "@media print": { display: "none" } }}>
            {t("PINs and squares are shown only now. Print them before you leave this page.")}
          </Alert>
          <Box sx={{ display: "grid", gridTemplateColumns: "repeat(auto-fill, minmax(330px, 1fr))", gap: 2 }}>
            {issued.cards.map((card) => (
              <CardFace
                key={card.personId}
                card={card}
                code={issued.code}
                crewName={crew.name}
                language={languageOf(people.data?.find(({ id }) => id === card.personId)?.language, crew.language, me?.account?.language)}
              />
            ))}
          </Box>
        </>
      ) : (
        <Loaded query={people}>
          {(list) => (
            <Loaded query={access}>
              {({ code, people: withCard }) => {
                const here = list.filter((person) => !hasLeft(person, today));
                const has = (id: string) => withCard.some(({ personId }) => personId === id);
                const without = here.filter(({ id }) => !has(id));
                const picked = here.flatMap(({ id }) => (chosen.has(id) ? [id] : []));
                return (
                  <>
                    <Box sx={{ display: "flex", gap: 1.5, alignItems: "center", flexWrap: "wrap", mb: 2 }}>
                      <Typography sx={{ flex: 1 }}>
                        {code ? (
                          <>
                            {t("Crew code")} <strong>{code}</strong>.{" "}
                          </>
                        ) : null}
                        {t("{{here}} of {{here2}} have a card.", { here: here.length - without.length, here2: here.length })}
                      </Typography>
                      {without.length > 0 && (
                        <Button onClick={() => setChosen(new Set(without.map(({ id }) => id)))}>
                          {t("Choose all {{count}} without one", { count: without.length, defaultValue_one: "Choose the one without" })}
                        </Button>
                      )}
                      <Button variant="outlined" disabled={!picked.some(has)} onClick={() => setAsking(true)}>
                        {t("Withdraw")}
                      </Button>
                      <Button
                        variant="contained"
                        disabled={picked.length === 0 || isLoading}
                        onClick={() => void issue({ crewId: crew.id, personIds: picked })}
                      >
                        {isLoading
                          ? t("Making cards …")
                          : t("Make {{picked}} cards", {
                              picked: picked.length || "",
                              count: picked.length,
                              defaultValue_one: "Make {{picked}} card",
                            })}
                      </Button>
                    </Box>
                    {picked.some(has) && (
                      <Typography sx={{ mb: 1.5, color: "warm.dark", fontWeight: 650 }}>
                        {t("{{names}}: a new card ends the one they have, and signs their phone out.", {
                          names: namesOf(list, picked.filter(has)),
                        })}
                      </Typography>
                    )}
                    <ConfirmDialog
                      open={asking}
                      title={t("Withdraw {{count}} cards?", { count: picked.filter(has).length, defaultValue_one: "Withdraw one card?" })}
                      confirm={t("Withdraw")}
                      onConfirm={() => {
                        setAsking(false);
                        void withdraw({ crewId: crew.id, personIds: picked.filter(has) }).then(({ data }) => data && setChosen(new Set()));
                      }}
                      onClose={() => setAsking(false)}
                    >
                      {t(
                        "{{names}}: their phones are signed out at once, and the card opens nothing any more. What waits on a phone goes out with a new card.",
                        {
                          names: namesOf(list, picked.filter(has)),
                        },
                      )}
                    </ConfirmDialog>
                    <Box sx={{ display: "flex", gap: 0.75, flexWrap: "wrap" }}>
                      {here.map((person) => (
                        <Toggle
                          key={person.id}
                          label={has(person.id) ? t("{{name}} · has a card", { name: person.name }) : person.name}
                          pressed={chosen.has(person.id)}
                          onChange={(on) => {
                            const next = new Set(chosen);
                            if (on) next.add(person.id);
                            else next.delete(person.id);
                            setChosen(next);
                          }}
                        />
                      ))}
                    </Box>
                  </>
                );
              }}
            </Loaded>
          )}
        </Loaded>
      )}
    </>
  );
}

/** More than these are counted. */
const NAMED = 6;

function namesOf(people: readonly PersonEntry[], ids: readonly string[]): string {
  return firstListText(
    people.flatMap(({ id, name }) => (ids.includes(id) ? [name] : [])),
    NAMED,
  );
}

interface CardFaceProps {
  card: Card;
  code: string;
  crewName: string;
  /** Of whom it is for. */
  language: Language;
}

function CardFace({ card, code, crewName, language }: CardFaceProps) {
  const words = useWordsIn(language);
  const [square, setSquare] = useState("");
  const address = `${location.origin}/me/sign-in#card=${card.token}`;
  useEffect(() => {
    let gone = false;
    void toString(address, { type: "svg", margin: 0, errorCorrectionLevel: "M" }).then((svg) => !gone && setSquare(svg));
    return () => {
      gone = true;
    };
  }, [address]);
  return (
    <Box
      component="article"
      aria-label={t("Card of {{name}}", { name: card.name })}
      sx={{
        border: "2px dashed",
        borderColor: "line",
        borderRadius: 2,
        p: 2,
        display: "grid",
        gridTemplateColumns: "118px 1fr",
        gap: 2,
        breakInside: "avoid",
        bgcolor: "background.paper",
      }}
    >
      <Box
        role="img"
        aria-label={t("Square to photograph with a phone")}
        sx={{ bgcolor: "#fff", p: 0.75, "& svg": { display: "block", width: "100%" } }}
        dangerouslySetInnerHTML={{ __html: square }}
      />
      <Box lang={language} dir={LANGUAGE_FACTS[language].direction}>
        <FaceOf language={language} />
        <Typography sx={{ fontWeight: 750, fontSize: "1.15rem", lineHeight: 1.2 }}>{card.name}</Typography>
        <Typography sx={{ color: "text.secondary" }}>{crewName}</Typography>
        <Typography sx={{ mt: 0.5 }}>
          {words.member("code")} <strong dir="ltr">{code}</strong>
          <br />
          {words.member("pin")} <strong dir="ltr">{card.pin}</strong>
          <br />
          <span dir="ltr">{`${location.host}/me`}</span>
        </Typography>
        <Typography sx={{ mt: 0.5, fontSize: "0.9rem", lineHeight: 1.3 }}>{words.member("cardHelp")}</Typography>
      </Box>
    </Box>
  );
}
