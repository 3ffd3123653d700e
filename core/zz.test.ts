import { woundRig } from '../tests/rigFixture';
import { answerDepth } from './tow/answerDepth';
import { rigView } from './rig/view/rigView';
import { towedRig, USUAL_TOW } from './rig/tow/towedRig';
import { learnDepth } from './tow/learnDepth';
test('t',()=>{
 for(const n of [0,2,6]){
 const marks=Array.from({length:n},(_,i)=>({id:'m'+i,at:'2030-05-04T10:00:00.000Z',loadId:woundRig().load?.id??'',kind:'bottom' as const,reading:null,laps:null,lengthOutM:30+10*i,depthM:4+i,speedMS:1,lure:'spoon',side:null,turn:'straight' as const,note:'',instrument:'x'}));
 const v=rigView({...woundRig(),towed:USUAL_TOW,waterMarks:marks}); const rig=towedRig(v as never);
 const q={belief:rig.belief,marks:rig.marks,speedMS:1,lengthsM:Array.from({length:32},(_,i)=>rig.mostM*(i+1)/32),goal:{depthM:5},usualM:60,mostM:rig.mostM};
 answerDepth(q);let t=performance.now();answerDepth(q);const a=performance.now()-t; t=performance.now();learnDepth(rig.belief,rig.marks);process.stderr.write(`TT ${n} ${a.toFixed(0)} learn ${(performance.now()-t).toFixed(0)}\n`);
 }
});
