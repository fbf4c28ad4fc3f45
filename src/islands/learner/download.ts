import { call } from '../shared/api';

/** Everything about a child as a file. @throws ApiError when the program does not give it. */
export async function download(id: string, nickname: string): Promise<void> {
  const data = await call('GET /learners/{id}/export', { params: { id: id } });
  const a = document.createElement('a');
  a.href = URL.createObjectURL(new Blob([JSON.stringify(data, null, 2)], { type: 'application/json' }));
  a.download = `${nickname}.json`;
  a.click();
  URL.revokeObjectURL(a.href);
}
