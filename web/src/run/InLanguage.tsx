/** A text in another language than the page around it: read aloud as that, and run the way it runs. */
import { LANGUAGE_FACTS, type Words } from "@kind-grip/core/language";

export function InLanguage({ words: { language }, text }: { words: Words; text: string }) {
  return (
    <span lang={language} dir={LANGUAGE_FACTS[language].direction}>
      {text}
    </span>
  );
}
