/** The texts of a language: read through, found, said in the practice's own words, taken back. */
import { Box, Button, TextField, Typography } from "@mui/material";
import { ArrowLeft, Undo2 } from "lucide-react";
import { useEffect, useMemo, useState, type FormEvent } from "react";
import { Link, useParams } from "react-router";
import type { OwnTexts } from "@kind-grip/core/api";
import { isLanguage, LANGUAGE_FACTS, loadLanguage, textsOf, type Language } from "@kind-grip/core/language";
import { problemOf } from "../base/api";
import { FaceOf } from "../base/language";
import { notify } from "../base/notices";
import { useAppDispatch } from "../base/store";
import { wholeDayText } from "../base/dates";
import { t } from "../base/words";
import { Empty } from "../parts/Empty";
import { Loaded } from "../parts/Loaded";
import { Loading } from "../parts/Loading";
import { LostPage } from "../parts/LostPage";
import { PageTitle } from "../parts/PageTitle";
import { Toggle } from "../parts/Toggle";
import { practiceApi } from "./api";

/** More than anybody corrects at a sitting; the search finds the others. */
const SHOWN = 40;

export default function TextsPage() {
  const { language } = useParams();
  const query = practiceApi.useOwnTextsQuery();
  if (!isLanguage(language)) return <LostPage />;
  return <Loaded query={query}>{(texts) => <Texts key={language} language={language} texts={texts} />}</Loaded>;
}

interface Text {
  key: string;
  english: string;
  shipped: string;
}

function Texts({ language, texts: { corrections, readings } }: { language: Language; texts: OwnTexts }) {
  const [all, setAll] = useState<Text[]>();
  const [wanted, setWanted] = useState("");
  const [onlyOwn, setOnlyOwn] = useState(false);
  const own = useMemo(() => corrections[language] ?? {}, [corrections, language]);
  useEffect(() => {
    let gone = false;
    void Promise.all([loadLanguage("en"), loadLanguage(language)]).then(([english, theirs]) => {
      if (gone) return;
      const inEnglish = new Map(textsOf(english));
      setAll(
        textsOf(theirs).map(([key, shipped]) => ({
          key,
          // A form English has no use for is told by the one for many.
          english: inEnglish.get(key) ?? inEnglish.get(key.replace(/_[a-z]+$/, "_other")) ?? "",
          shipped,
        })),
      );
    });
    return () => {
      gone = true;
    };
  }, [language]);
  const found = useMemo(() => {
    const words = wanted.trim().toLowerCase();
    return (all ?? []).filter(
      ({ key, english, shipped }) =>
        (!onlyOwn || key in own) &&
        (words === "" || [english, shipped, own[key] ?? "", key].some((text) => text.toLowerCase().includes(words))),
    );
  }, [all, wanted, onlyOwn, own]);
  const { ownName, direction } = LANGUAGE_FACTS[language];
  return (
    <>
      <FaceOf language={language} />
      <PageTitle
        title={t("Texts in {{language}}", { language: LANGUAGE_FACTS[language].englishName })}
        lead={t("What crews read and hear. Say a text in your own words; what stands in double braces is filled in and has to stay.")}
      >
        <Button component={Link} to="/practice" startIcon={<ArrowLeft size={20} />}>
          {t("Practice")}
        </Button>
      </PageTitle>
      <Reading language={language} reading={readings.find((each) => each.language === language)} />
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 1.5, alignItems: "end", my: 3 }}>
        <TextField
          label={t("Find a text, in English or {{language}}", { language: ownName })}
          type="search"
          value={wanted}
          onChange={(event) => setWanted(event.target.value)}
          sx={{ flex: 1, minWidth: 240, maxWidth: 520 }}
        />
        <Toggle label={t("Only your own")} pressed={onlyOwn} onChange={setOnlyOwn} />
      </Box>
      {all === undefined ? (
        <Loading />
      ) : found.length === 0 ? (
        <Empty
          title={onlyOwn ? t("No text of your own") : t("Nothing like it")}
          text={onlyOwn ? t("What you change here stands in this list.") : t("Try another word, or fewer letters of it.")}
        />
      ) : (
        <>
          <Typography role="status" sx={{ color: "text.secondary", mb: 1 }}>
            {found.length > SHOWN
              ? t("{{shown}} of {{found}} texts: search to see others.", { shown: SHOWN, found: found.length })
              : t("{{count}} texts", { count: found.length, defaultValue_one: "{{count}} text" })}
          </Typography>
          <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
            {found.slice(0, SHOWN).map((text) => (
              <Row key={text.key} language={language} direction={direction} text={text} own={own[text.key]} />
            ))}
          </Box>
        </>
      )}
    </>
  );
}

interface RowProps {
  language: Language;
  direction: "ltr" | "rtl";
  text: Text;
  own: string | undefined;
}

function Row({ language, direction, text: { key, english, shipped }, own }: RowProps) {
  const [correct, { error, isLoading }] = practiceApi.useCorrectTextMutation();
  const [typed, setTyped] = useState<string | null>(null);
  const dispatch = useAppDispatch();
  const shown = typed ?? own ?? shipped;
  const problem = error ? problemOf(error) : undefined;
  const store = async (text: string | null) => {
    if (text === (own ?? null) || (text === shipped && own === undefined)) return setTyped(null);
    const { data } = await correct({ language, key, text: text === shipped ? null : text });
    if (!data) return;
    setTyped(null);
    dispatch(notify({ text: t("Saved."), undo: () => correct({ language, key, text: own ?? null }) }));
  };
  return (
    <Box
      component="li"
      sx={{
        display: "grid",
        gridTemplateColumns: { xs: "minmax(0, 1fr)", md: "minmax(0, 1fr) minmax(0, 1.4fr) 120px" },
        columnGap: 3,
        rowGap: 0.5,
        alignItems: "center",
        borderTop: "1px solid",
        borderColor: "line",
        py: 1.25,
      }}
    >
      <Typography>{english}</Typography>
      <TextField
        aria-label={t("In your own words: {{english}}", { english })}
        value={shown}
        multiline
        disabled={isLoading}
        onChange={(event) => setTyped(event.target.value.replace(/\n/g, " "))}
        onBlur={() => typed !== null && void store(typed.trim())}
        error={!!problem}
        helperText={problem && (problem.fields[0]?.message ?? problem.message)}
        slotProps={{ htmlInput: { lang: language, dir: direction, "aria-label": t("In your own words: {{english}}", { english }) } }}
      />
      <Box>
        {own !== undefined && (
          <Button startIcon={<Undo2 size={18} />} onClick={() => void store(null)} title={shipped}>
            {t("Take back")}
          </Button>
        )}
      </Box>
    </Box>
  );
}

/** Whether somebody who speaks it, and knows the work, read all of it. */
function Reading({ language, reading }: { language: Language; reading: OwnTexts["readings"][number] | undefined }) {
  const [note, { error, isLoading }] = practiceApi.useNoteReadingMutation();
  const [who, setWho] = useState("");
  const submit = (event: FormEvent) => {
    event.preventDefault();
    void note({ language, readBy: who });
  };
  if (reading)
    return (
      <Box sx={{ display: "flex", flexWrap: "wrap", gap: 2, alignItems: "center" }}>
        <Typography>{t("Read through by {{who}}, {{day}}.", { who: reading.readBy, day: wholeDayText(reading.readOn) })}</Typography>
        <Button onClick={() => void note({ language, readBy: null })}>{t("It was not")}</Button>
      </Box>
    );
  return (
    <Box component="form" noValidate onSubmit={submit} sx={{ display: "flex", flexWrap: "wrap", gap: 1.5, alignItems: "start" }}>
      <Typography sx={{ flexBasis: "100%" }}>
        {LANGUAGE_FACTS[language].readBy ?? t("Not yet read by a practitioner who speaks it.")}
      </Typography>
      <TextField
        label={t("Who read all of it, and their profession")}
        value={who}
        onChange={(event) => setWho(event.target.value)}
        error={!!error}
        helperText={error && (problemOf(error).fields[0]?.message ?? problemOf(error).message)}
        sx={{ width: "min(100%, 420px)" }}
      />
      <Button type="submit" variant="outlined" disabled={isLoading || who.trim() === ""} sx={{ minHeight: 44 }}>
        {t("Note it")}
      </Button>
    </Box>
  );
}
