import { cues } from "./cues";
import { labels } from "./labels";
import { movements } from "./movements";
import { paper } from "./paper";

export const en = { movements, labels, cues, paper };
