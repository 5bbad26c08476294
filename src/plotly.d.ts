declare module 'plotly.js-basic-dist-min' {
  const plotly: {
    newPlot(host: HTMLElement, data: object[], layout?: object, config?: object): Promise<unknown>;
    purge(host: HTMLElement): void;
  };
  export default plotly;
}
