import { Refused } from '../../api/client';

/** Sends a form with a file in it; the interface's own words where it is refused. */
export async function sent<T>(path: string, fields: Record<string, string | File | null>): Promise<T> {
  const form = new FormData();
  for (const [name, value] of Object.entries(fields)) if (value !== null && value !== '') form.append(name, value);
  const token = /(?:^|; )XSRF-TOKEN=([^;]+)/.exec(document.cookie)?.[1] ?? '';
  let response;
  try {
    response = await fetch(`/api${path}`, {
      method: 'POST',
      body: form,
      headers: { Accept: 'application/json', 'X-XSRF-TOKEN': decodeURIComponent(token) },
    });
  } catch {
    throw new Refused('Gnomic does not answer. Check the connection; what you wrote is still here.', 0);
  }
  const answer = (await response.json().catch(() => ({}))) as T & { message?: string };
  if (response.status === 413) throw new Refused('The file is larger than 10 MB. Hand it over in parts.', 413);
  if (!response.ok)
    throw new Refused(answer.message ?? `Gnomic answered with status ${response.status}. Try again.`, response.status);
  return answer;
}
