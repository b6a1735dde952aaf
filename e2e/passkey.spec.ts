/** A passkey in a real browser: made under Practice, asked of everybody by the practice, signed in with. */
import { expect, test } from "@playwright/test";
import { violations } from "./axe-violations";
import { open, signIn } from "./browser";
