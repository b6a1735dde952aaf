/** What a person reads about each movement, by phase. */
import { getReady } from "./get-ready";
import { mobility } from "./mobility";
import { stretch } from "./stretch";
import { upperBody } from "./upper-body";
import { glide } from "./glide";
import { strengthen } from "./strengthen";
import { release } from "./release";

export const movements = { ...getReady, ...mobility, ...stretch, ...upperBody, ...glide, ...strengthen, ...release };
