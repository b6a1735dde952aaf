/** How a person can be reached outside the application, once they said yes. */
export * from "./ways";
