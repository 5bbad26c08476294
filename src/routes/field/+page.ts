/** Drawn on the device alone, from what it keeps: the server sends an empty frame. */
export const ssr = false;
