/** The shape of something sent or answered: a line a field; what a field is made of opens below it. */
import { Box, ButtonBase } from "@mui/material";
import { ChevronRight } from "lucide-react";
import { createContext, use, useState } from "react";
import { t } from "../base/words";
import type { JsonSchema } from "./operations";
import { nameOfRef, shapeIn, typeText, waysOf } from "./type-text";

/** The named shapes of the description. */
export const ShapesContext = createContext<Record<string, JsonSchema>>({});

export function Shape({ schema }: { schema: JsonSchema }) {
  const shapes = use(ShapesContext);
  const inside = shapeIn(schema);
  const ways = waysOf(schema);
  if (ways.length > 0)
    return (
      <>
        {ways.map((way, i) => (
          <Box key={i} sx={{ mt: i === 0 ? 0 : 1 }}>
            <Box sx={{ color: "text.secondary" }}>
              {i === 0 ? t("One of these: {{what}}", { what: typeText(way) }) : t("Or: {{what}}", { what: typeText(way) })}
            </Box>
            <Shape schema={way} />
          </Box>
        ))}
      </>
    );
  const named = inside?.$ref ? shapes[nameOfRef(inside.$ref)] : inside;
  if (!named) return null;
  if (!named.properties)
    return named === schema ? null : (
      <>
        {/* What is only a name until then. */}
        <Box sx={{ color: "text.secondary" }}>{typeText(named)}</Box>
        <Shape schema={named} />
      </>
    );
  return (
    <Box component="ul" sx={{ listStyle: "none", m: 0, p: 0 }}>
      {Object.entries(named.properties).map(([name, field]) => (
        <Field key={name} name={name} field={field} isOptional={!(named.required ?? []).includes(name)} />
      ))}
    </Box>
  );
}

function Field({ name, field, isOptional }: { name: string; field: JsonSchema; isOptional: boolean }) {
  const [open, setOpen] = useState(false);
  const opens = shapeIn(field) !== undefined || waysOf(field).length > 0;
  const line = (
    <Box component="span" sx={{ overflowWrap: "anywhere", minWidth: 0, textAlign: "start" }}>
      <Box component="code" sx={{ fontWeight: 650, mr: 1 }}>
        {name}
      </Box>
      <Box component="span" sx={{ color: "text.secondary" }}>
        {isOptional ? t("{{type}}, may be left out", { type: typeText(field) }) : typeText(field)}
      </Box>
    </Box>
  );
  return (
    <Box component="li" sx={{ py: 0.25 }}>
      {opens ? (
        <ButtonBase
          aria-expanded={open}
          onClick={() => setOpen(!open)}
          sx={{ fontSize: "1rem", gap: 0.5, minHeight: 28, alignItems: "baseline", justifyContent: "flex-start" }}
        >
          <ChevronRight
            size={16}
            aria-hidden
            style={{ flex: "none", alignSelf: "center", transform: open ? "rotate(90deg)" : undefined }}
          />
          {line}
        </ButtonBase>
      ) : (
        <Box sx={{ pl: 2.5 }}>{line}</Box>
      )}
      {open && (
        <Box sx={{ pl: 2.5, ml: 1, borderLeft: "2px solid", borderColor: "line" }}>
          <Shape schema={field} />
        </Box>
      )}
    </Box>
  );
}
