/** The bundle of `src/server/thread`, as the launcher made it. @throws Error where it is not named */
export function threadBundle(): string {
  const bundle = process.env['GRIM_THREAD_BUNDLE'];
  if (!bundle) throw new Error('GRIM_THREAD_BUNDLE is not set: start the app with ./grim start');
  return bundle;
}
