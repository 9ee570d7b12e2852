// Asks for a widget by its address as editors do, by @extractus/oembed-extractor. That library asks over TLS alone, so the endpoint
// answers here with a certificate of a moment; its answer is what Gnomic said. Reads JSON, prints JSON.
import { extract, findProvider, setProviderList } from '@extractus/oembed-extractor';
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { createServer } from 'node:https';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const { answers, url, params } = JSON.parse(readFileSync(0, 'utf8'));
const folder = mkdtempSync(join(tmpdir(), 'gnomic-oembed-'));
const [key, certificate] = [join(folder, 'key.pem'), join(folder, 'certificate.pem')];
execFileSync(
  'openssl',
  [
    'req',
    '-x509',
    '-newkey',
    'rsa:2048',
    '-nodes',
    '-keyout',
    key,
    '-out',
    certificate,
    '-days',
    '1',
    '-subj',
    '/CN=localhost',
  ],
  { stdio: 'ignore' },
);
process.env.NODE_TLS_REJECT_UNAUTHORIZED = '0';
process.removeAllListeners('warning');
const asked = [];
const server = createServer({ key: readFileSync(key), cert: readFileSync(certificate) }, (request, response) => {
  asked.push(request.url);
  const { searchParams } = new URL(request.url, 'https://localhost');
  response.setHeader('Content-Type', 'application/json').end(answers[searchParams.get('maxwidth') ?? '']);
});
await new Promise((resolve) => server.listen(0, '127.0.0.1', resolve));
const endpoint = `https://127.0.0.1:${server.address().port}/oembed`;
setProviderList([
  {
    provider_name: 'Gnomic',
    provider_url: new URL(url).origin,
    endpoints: [{ schemes: [`${new URL(url).origin}/w/*`], url: endpoint }],
  },
]);
const told = { provider: findProvider(url), results: [] };
for (const one of params) told.results.push(await extract(url, one).catch((error) => ({ error: error.message })));
told.asked = asked;
server.close();
rmSync(folder, { recursive: true });
process.stdout.write(JSON.stringify(told));
