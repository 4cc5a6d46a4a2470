import { it } from 'vitest';
import { readSvg, resolveArtwork } from '/work/main/src/core/artwork';
import { findThinStrokes, findThinGaps } from '/work/main/src/core/geometry/thin-places';
const svg=(b:string)=>`<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 100 100">${b}</svg>`;
const cases: [string,string,number][] = [
 ['circle r20', '<circle cx="50" cy="50" r="20"/>', 40],
 ['ring 20/18.5', '<path fill-rule="evenodd" d="M30 50a20 20 0 1 0 40 0a20 20 0 1 0 -40 0zM31.5 50a18.5 18.5 0 1 0 37 0a18.5 18.5 0 1 0 -37 0z"/>', 40],
 ['rect 60x7', '<rect width="60" height="7"/>', 60],
 ['square 20', '<rect width="20" height="20"/>', 20],
 ['rrect 50x12 r3', '<rect width="50" height="12" rx="3"/>', 50],
 ['star', '<polygon points="50,10 61,40 95,40 67,60 78,92 50,73 22,92 33,60 5,40 39,40"/>', 90],
 ['cross arm 3', '<path d="M48.5 0h3v48.5h48.5v3h-48.5v48.5h-3v-48.5h-48.5v-3h48.5z"/>', 100],
 ['hourglass neck 2', '<path d="M0 0H50C30 40 26 45 26 50C26 55 30 60 50 100H0C20 60 24 55 24 50C24 45 20 40 0 0z"/>', 50],
 ['E arms 4', '<path d="M0 0h30v4h-22v20h18v4h-18v20h22v4h-30z"/>', 30],
 ['two dots gap 1.2', '<circle cx="10" cy="10" r="5"/><circle cx="21.2" cy="10" r="5"/>', 21.2],
 ['two diamonds gap 0.7', '<path d="M10 0l5 10l-5 10l-5 -10zM20.7 0l5 10l-5 10l-5 -10z"/>', 20.7],
 ['triangle', '<path d="M0 0h40l-20 30z"/>', 40],
 ['hex ring', '<path fill-rule="evenodd" d="M10 0l8.66 5v10l-8.66 5l-8.66 -5v-10zM10 1.2l7.62 4.4v8.8l-7.62 4.4l-7.62-4.4v-8.8z"/>', 17.32],
];
it('x', () => { for (const [n,b,w] of cases) { const a=readSvg(svg(b)); if(!a.ok) throw 1; const r=resolveArtwork(a.value,{widthMm:w}); if(!r.ok) throw 2; const p=r.value.layers[0]!.pieces; const t=performance.now(); const s=findThinStrokes(p,1.5), g=findThinGaps(p,1.5); console.log(n.padEnd(24), s.thinnest?.widthMm.toFixed(3), s.places.length, '| gap', g.thinnest?.widthMm.toFixed(3), g.places.length, (performance.now()-t).toFixed(0)+'ms'); } });
