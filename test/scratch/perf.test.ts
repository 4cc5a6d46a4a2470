import { it } from 'vitest';
import { readSvg, resolveArtwork, measureResolved } from '/work/main/src/core/artwork';
import { findThinStrokes, findThinGaps } from '/work/main/src/core/geometry/thin-places';
import { readFileSync, readdirSync } from 'node:fs';
function blob(cx:number,cy:number,r:number,n:number,k:number){let d='';for(let i=0;i<n;i++){const a=i/n*2*Math.PI;const q=r*(1+0.25*Math.sin(k*a));d+=(i?'L':'M')+(cx+q*Math.cos(a)).toFixed(3)+' '+(cy+q*Math.sin(a)).toFixed(3);}return d+'Z';}
const svg=(b:string)=>`<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 1000 1000">${b}</svg>`;
const many=(paths:number,seg:number)=>svg(Array.from({length:paths},(_,i)=>{const c=Math.ceil(Math.sqrt(paths));return `<path d="${blob(20+(i%c)*1000/c,20+Math.floor(i/c)*1000/c,400/c,seg,3+i%5)}"/>`}).join(''));
const dots=(n:number)=>svg(Array.from({length:n},(_,i)=>{const c=Math.ceil(Math.sqrt(n));return `<circle cx="${(5+(i%c)*1000/c).toFixed(2)}" cy="${(5+Math.floor(i/c)*1000/c).toFixed(2)}" r="${300/c}"/>`}).join(''));
it('x', () => { const run=(n:string,text:string,w:number)=>{ const t0=performance.now(); const a=readSvg(text); if(!a.ok) throw 1; const t1=performance.now(); const r=resolveArtwork(a.value,{widthMm:w}); if(!r.ok) throw new Error(r.problem.kind); const t2=performance.now(); measureResolved(r.value); const t3=performance.now(); for(const l of r.value.layers){ const s=findThinStrokes(l.pieces,2.5); const g=findThinGaps(l.pieces,2.5); console.log(n, l.colour, s.thinnest?.widthMm.toFixed(3), s.places.length, g.thinnest?.widthMm.toFixed(3), g.places.length);} const t4=performance.now(); console.log(n, 'read',(t1-t0|0),'resolve',(t2-t1|0),'measure',(t3-t2|0),'thin',(t4-t3|0), r.value.segments); };
 run('warm', many(50,50),200);
 run('1000x50', many(1000,50),200); run('5000 dots', dots(5000),200); run('one circle', dots(1), 100);
 for(const f of readdirSync('src/data/demo/drawings')) run(f, readFileSync('src/data/demo/drawings/'+f,'utf8'), 180);
});
