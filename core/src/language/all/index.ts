/** Every language at hand from the start: for a server, which answers in all of them. Imported for what it does. */
import { provideLanguage } from "..";
import { ar } from "../ar";
import { de } from "../de";
import { es } from "../es";
import { pl } from "../pl";

for (const [language, catalogue] of Object.entries({ es, de, pl, ar })) provideLanguage(language as "es", catalogue);
