import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { call } from './api';
import panel from './panel.module.css';
import { messageOf, useTell } from './App';

/** The country in use and those that can be chosen. */
export const useCountries = () => useQuery({ queryKey: ['countries'], queryFn: () => call('GET /countries') });

/** Both sorts of paper, the owner's first. */
export function usePapers(): readonly ['a4' | 'letter', 'a4' | 'letter'] {
  const { data } = useCountries();
  const own = data?.items.find((c) => c.id === data.country)?.paper;
  return own === 'letter' ? ['letter', 'a4'] : ['a4', 'letter'];
}

/** Whose coins, rulers, paper, dates and words are used; chosen where they show. */
export function CountryChoice() {
  const client = useQueryClient();
  const tell = useTell();
  const countries = useCountries();
  const choose = useMutation({
    mutationFn: (country: string) => call('PUT /country', { body: { country } }),
    onSuccess: ({ dates }) => {
      document.documentElement.dataset['dates'] = dates;
      void client.invalidateQueries();
    },
    onError: (e) => tell(messageOf(e), { bad: true }),
  });
  if (!countries.data) return null;
  return (
    <label className={panel.wraps}>
      Coins, rulers, paper and words of{' '}
      <select value={countries.data.country} disabled={choose.isPending} onChange={(e) => choose.mutate(e.target.value)}>
        {countries.data.items.map((c) => (
          <option key={c.id} value={c.id}>
            {c.title}
          </option>
        ))}
      </select>
    </label>
  );
}
