/** What the phone's worker does besides keeping the page; the build makes one file of it that the worker takes in. */
import { listenForMessages, type PushWorker } from "./push-worker";
import { listenForConnection, type SyncWorker } from "./sync-worker";

const phone = globalThis as unknown as PushWorker & SyncWorker;
listenForMessages(phone);
listenForConnection(phone);
