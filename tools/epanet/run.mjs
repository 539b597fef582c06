// Runs every .inp in a folder in EPANET (npm epanet-js, toolkit 2.3) and writes NAME.json beside it: flows in L/s by link, heads in
// m by node. Usage: npm install && node run.mjs FOLDER
import { Project, Workspace, LinkProperty, NodeProperty, CountType } from 'epanet-js';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

const folder = process.argv[2];
for (const file of readdirSync(folder).filter(f => f.endsWith('.inp')).sort()) {
  const ws = new Workspace();
  if (ws.loadModule) await ws.loadModule();
  ws.writeFile('net.inp', readFileSync(join(folder, file), 'utf8'));
  const model = new Project(ws);
  try {
    model.open('net.inp', 'report.rpt', 'out.bin');
  } catch (e) {
    console.error(file, ws.readFile('report.rpt'));
    throw e;
  }
  model.openH();
  model.initH(11);
  model.runH();
  const flows = {};
  for (let i = 1; i <= model.getCount(CountType.LinkCount); i++) {
    flows[model.getLinkId(i)] = model.getLinkValue(i, LinkProperty.Flow);
  }
  const heads = {};
  for (let i = 1; i <= model.getCount(CountType.NodeCount); i++) {
    heads[model.getNodeId(i)] = model.getNodeValue(i, NodeProperty.Head);
  }
  model.closeH();
  model.close();
  writeFileSync(join(folder, file.replace(/\.inp$/, '.json')), JSON.stringify({ flows_L_s: flows, heads_m: heads }, null, 1) + '\n');
  console.log(file, Object.keys(flows).length, 'links');
}
