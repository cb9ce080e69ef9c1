/** Milliseconds after which it is asked again whether a picture is done. */
const POLL = 4;

/** Milliseconds until the graphics have done all that they were told up to the end of this frame. */
export function drawnIn(context: WebGL2RenderingContext): Promise<number> {
  const begun = performance.now();
  return new Promise((done) => {
    requestAnimationFrame(() => {
      const sync = context.fenceSync(context.SYNC_GPU_COMMANDS_COMPLETE, 0);
      if (!sync) return done(0);
      context.flush();
      const look = () => {
        if (context.clientWaitSync(sync, 0, 0) === context.TIMEOUT_EXPIRED) setTimeout(look, POLL);
        else {
          context.deleteSync(sync);
          done(performance.now() - begun);
        }
      };
      look();
    });
  });
}
