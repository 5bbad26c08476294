/** Where the device is, as its receiver tells it while a page is open. */
export class Receiver {
  here = $state.raw<GeolocationPosition | null>(null);
  /** why it tells nothing */
  silent = $state('');

  /** Begins to listen. @returns what ends it */
  listen = (): (() => void) | undefined => {
    if (!navigator.geolocation) {
      this.silent = 'This device has no receiver.';
      return undefined;
    }
    const watch = navigator.geolocation.watchPosition(
      (found) => (this.here = found),
      (error) =>
        (this.silent = error.code === error.PERMISSION_DENIED ? 'The position was not allowed, or needs https.' : 'No position yet.'),
      { enableHighAccuracy: true, maximumAge: 10_000 },
    );
    return () => navigator.geolocation.clearWatch(watch);
  };
}
