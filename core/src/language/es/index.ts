import { coaching } from "./coaching";
import { cues } from "./cues";
import { figure } from "./figure";
import { labels } from "./labels";
import { member } from "./member";
import { movements } from "./movements";
import { paper } from "./paper";
import { referral, safety, symptom } from "./safety";

export const es = { movements, labels, member, cues, paper, figure, coaching, safety, referral, symptom };
