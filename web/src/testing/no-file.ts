/** In the place of a file's address, which only the bundler knows. */
export default "no-file";
