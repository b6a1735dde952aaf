/** A connected meter: its stream, and what to say to it. One at a time; it stays connected from person to person. */
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import {
  corrected,
  FromMeter,
  outwardFrom,
  readMessage,
  tiltBetween,
  turnedBy,
  turnsUnseen,
  upFrom,
  type Calibration,
  type MeterKind,
  type MeterSettings,
  type Reading,
  type Repeated,
  type ToMeter,
  type UpVector,
} from "@kind-grip/core/meter";
import { t } from "../base/words";
import { keepCalibration, keptCalibration } from "./calibration";

export type MeterState = "off" | "connecting" | "on" | "lost";
/** Readings kept of one stream: a minute of them. */
const MOST_READINGS = 1200;
/** A device that says nothing for so long after it was asked has no sensor, or may not use it. */
const SILENT_MS = 1500;

interface StartOptions {
  /** The full range of the joint. */
  fullDeg?: number;
  assisted?: boolean;
  /** For a check of the device itself. */
  uncorrected?: boolean;
  /** It goes out and comes back: read with its sign, past half a turn too. */
  repeated?: Repeated;
}

/** Which way the phone lay, and how it was turned about the line to the ground. */
interface PhoneLies {
  up: UpVector;
  alpha: number;
}

interface PhoneStream {
  zero: PhoneLies | null;
  last: PhoneLies | null;
  /** None while it is checked. */
  correction: Calibration | null;
  /** What is read with its sign: which way it turns, once that has shown, and how far it was last. */
  signed: { outward?: UpVector; lastDeg: number } | null;
  startedMs: number;
  stop(): void;
}

export function useMeter() {
  const [state, setState] = useState<MeterState>("off");
  const [name, setName] = useState("");
  const [kinds, setKinds] = useState<readonly MeterKind[]>([]);
  /** Only a simulated meter has them. */
  const [settings, setSettings] = useState<MeterSettings | null>(null);
  const [streaming, setStreaming] = useState<MeterKind | null>(null);
  /** What came in, and what of it the screen shows: brought up to date once a frame. */
  const arrived = useRef<Reading[]>([]);
  const [readings, setReadings] = useState<readonly Reading[]>([]);
  const socket = useRef<WebSocket | null>(null);
  const phone = useRef<PhoneStream | null>(null);
  const [isPhone, setIsPhone] = useState(false);
  const [calibration, setCalibration] = useState<Calibration | null>(null);
  /** The phone turns where gravity cannot see it. */
  const [isUnseen, setIsUnseen] = useState(false);
  const wanted = useRef(false);

  /** Whoever started the stream, told of each reading as it comes. */
  const listener = useRef<((readings: readonly Reading[]) => void) | undefined>(undefined);

  const take = useCallback((reading: Reading) => {
    arrived.current = [...arrived.current.slice(-MOST_READINGS), reading];
    listener.current?.(arrived.current);
  }, []);
  const say = useCallback((message: ToMeter) => {
    if (socket.current?.readyState === WebSocket.OPEN) socket.current.send(JSON.stringify(message));
  }, []);

  const disconnect = useCallback(() => {
    wanted.current = false;
    socket.current?.close();
    socket.current = null;
    phone.current?.stop();
    phone.current = null;
    setIsPhone(false);
    setIsUnseen(false);
    setState("off");
    setStreaming(null);
    setSettings(null);
    setKinds([]);
  }, []);

  const connect = useCallback(
    (address: string) => {
      disconnect();
      wanted.current = true;
      setState("connecting");
      let made: WebSocket;
      try {
        made = new WebSocket(address);
      } catch {
        return setState("lost");
      }
      socket.current = made;
      made.onmessage = ({ data }) => {
        const message = readMessage(FromMeter, String(data));
        if (!message || socket.current !== made) return;
        if (message.type === "hello") {
          setName(message.name);
          setKinds(message.kinds);
          setSettings(message.settings ?? null);
          setState("on");
        } else if (message.type === "settings") setSettings(message.settings);
        else if (message.type === "reading") take({ atMs: message.atMs, value: message.value });
      };
      made.onclose = made.onerror = () => {
        if (socket.current !== made) return;
        socket.current = null;
        setStreaming(null);
        if (wanted.current) setState("lost");
      };
    },
    [disconnect, take],
  );

  const connectPhone = useCallback(async () => {
    disconnect();
    const events = DeviceOrientationEvent as unknown as { requestPermission?(): Promise<"granted" | "denied"> };
    setIsPhone(true);
    setState("connecting");
    if (events.requestPermission && (await events.requestPermission()) !== "granted") return setState("lost");
    const listen = ({ alpha, beta, gamma }: DeviceOrientationEvent) => {
      if (beta === null || gamma === null || !phone.current) return;
      const up = upFrom(beta, gamma);
      phone.current.last = { up, alpha: alpha ?? 0 };
      phone.current.zero ??= phone.current.last;
      clearTimeout(silence);
      setState("on");
      const { zero, correction, signed } = phone.current;
      const tilt = signed ? signedTilt(signed, zero.up, up) : tiltBetween(zero.up, up);
      setIsUnseen(turnsUnseen(zero.alpha, alpha ?? 0, tilt));
      take({ atMs: performance.now() - phone.current.startedMs, value: correction ? corrected(tilt, correction) : tilt });
    };
    addEventListener("deviceorientation", listen);
    const silence = setTimeout(() => {
      disconnect();
      setIsPhone(true);
      setState("lost");
    }, SILENT_MS);
    const known = keptCalibration();
    phone.current = {
      zero: null,
      last: null,
      correction: known,
      signed: null,
      startedMs: performance.now(),
      stop: () => {
        clearTimeout(silence);
        removeEventListener("deviceorientation", listen);
      },
    };
    setCalibration(known);
    setName(t("This device"));
    setKinds(["angle"]);
  }, [disconnect, take]);

  const start = useCallback(
    (kind: MeterKind, onReading: (readings: readonly Reading[]) => void, about: StartOptions = {}) => {
      listener.current = onReading;
      arrived.current = [];
      setReadings([]);
      const { uncorrected = false, ...said } = about;
      if (phone.current)
        phone.current = {
          ...phone.current,
          zero: phone.current.last,
          correction: uncorrected ? null : keptCalibration(),
          signed: about.repeated ? { lastDeg: 0 } : null,
          startedMs: performance.now(),
        };
      setIsUnseen(false);
      say({ type: "start", kind, ...said });
      setStreaming(kind);
    },
    [say],
  );
  const stop = useCallback(() => {
    listener.current = undefined;
    say({ type: "stop" });
    setReadings(arrived.current);
    setStreaming(null);
  }, [say]);

  // The trace follows the stream; it never drives it.
  useEffect(() => {
    if (!streaming) return;
    let frame = requestAnimationFrame(function draw() {
      setReadings(arrived.current);
      frame = requestAnimationFrame(draw);
    });
    return () => cancelAnimationFrame(frame);
  }, [streaming]);
  useEffect(() => disconnect, [disconnect]);

  const calibrate = useCallback((found: Calibration) => {
    keepCalibration(found);
    setCalibration(found);
  }, []);
  const actions = useMemo(
    () => ({
      connect,
      connectPhone,
      calibrate,
      disconnect,
      start,
      stop,
      squeeze: () => say({ type: "squeeze" }),
      set: (change: Partial<MeterSettings>) => say({ type: "set", settings: change }),
    }),
    [connect, connectPhone, calibrate, disconnect, start, stop, say],
  );
  return { state, name, kinds, settings, streaming, readings, isPhone, calibration, isUnseen, ...actions };
}
export type Meter = ReturnType<typeof useMeter>;

/** Before it has shown which way it turns it is read without a sign. */
function signedTilt(signed: NonNullable<PhoneStream["signed"]>, zero: UpVector, up: UpVector): number {
  signed.outward ??= outwardFrom(zero, up);
  signed.lastDeg = signed.outward ? turnedBy(zero, signed.outward, up, signed.lastDeg) : tiltBetween(zero, up);
  return signed.lastDeg;
}

/** Whether this device can tell how it is turned. */
export const canBeAngleMeter = typeof DeviceOrientationEvent !== "undefined" && matchMedia("(pointer: coarse)").matches;
