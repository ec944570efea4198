import { readFileSync } from 'node:fs';
import { execSync } from 'node:child_process';
import ts from 'typescript';
const { parseTemplate } = await import('/work/main/node_modules/@angular/compiler/fesm2022/compiler.mjs');
const files = execSync('git ls-files web/src/app', { cwd: '/work/main' }).toString().trim().split('\n');
let t=0,b=0,a=0; const attrs: Record<string,number>={}; let strings=0; let tpl=0;
const visit=(nodes:any[])=>{for(const n of nodes){ if(n.constructor.name==='Text' && /[a-z]{2}/i.test(n.value)) t++; if(n.constructor.name==='BoundText'){ if(n.value.ast.strings?.some((s:string)=>/[a-z]{2}/i.test(s))) b++; }
 for(const at of n.attributes??[]) if(/[a-z]{2}/.test(at.value) && !/^(class|type|id|for|role|d|viewBox|fill|stroke.*|autocomplete|inputmode|formControlName|routerLink|selector|name|x\d?|y\d?|slot|preserve.*|text-anchor|prefix|transform|rel|target|accept|min|max|step)$/.test(at.name)) {a++; attrs[at.name]=(attrs[at.name]??0)+1;}
 for(const k of ['children','branches','cases','emptyBlock' ,'empty','groups','placeholder']) if(n[k]) visit(Array.isArray(n[k])?n[k]:[n[k]]);
}};
for(const f of files){ const src=readFileSync('/work/main/'+f,'utf8'); if(f.endsWith('.html')) visit(parseTemplate(src,f,{preserveWhitespaces:false}).nodes);
 if(f.endsWith('.ts')&&!f.endsWith('.spec.ts')){const sf=ts.createSourceFile(f,src,ts.ScriptTarget.Latest,true); const walk=(n:any)=>{ if(ts.isPropertyAssignment(n)&&n.name.getText()==='template'&&ts.isNoSubstitutionTemplateLiteral(n.initializer)){visit(parseTemplate(n.initializer.text,f,{}).nodes);return;}
 if(ts.isImportDeclaration(n)) return; if(ts.isStringLiteral(n)&&/[A-Za-z] [a-z]/.test(n.text)&&!/^(flex|grid|block|class)/.test(n.text)) strings++; if((ts.isTemplateExpression(n))&&/[a-z] [a-z]/i.test(n.getText())) tpl++; ts.forEachChild(n,walk)}; walk(sf);} }
console.log({t,b,a,strings,tpl,attrs});
