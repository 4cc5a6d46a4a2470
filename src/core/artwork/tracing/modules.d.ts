declare module 'quantize' {
  export default function quantize(
    pixels: [number, number, number][],
    count: number,
  ): { palette(): [number, number, number][] } | false;
}
