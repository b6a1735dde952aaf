/** Answers packed for the way: a day of a crew is a fifth of its length. */
import compression from "compression";

/** Shorter ones gain nothing. */
export const PACKED_FROM_BYTES = 2048;
/** More work than this saves next to nothing of answers this long. */
export const GZIP_LEVEL = 4;

/**
 * Only what is read, and not the answer with the token that sending takes: of what is packed together with a secret, the length tells
 * about the secret.
 */
export const packedAnswers = () =>
  compression({
    threshold: PACKED_FROM_BYTES,
    level: GZIP_LEVEL,
    filter: (request, response) =>
      request.method === "GET" && !/^\/api\/me(\?|$)/.test(request.originalUrl) && compression.filter(request, response),
  });
