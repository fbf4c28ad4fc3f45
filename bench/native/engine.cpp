// The same three games as the engine's, written by hand with the same random numbers and
// the same tallies, as a yardstick. Reads "G1 50" (game, milliseconds) from standard input
// and answers with games a second and the mean turns, so that both can be compared.
#include <chrono>
#include <cstdint>
#include <cstdio>
#include <cstring>

struct Rng { uint32_t a, b, n; };
static inline uint32_t mix(uint32_t x) { x ^= x >> 16; x *= 0x21f0aaadu; x ^= x >> 15; x *= 0x735a2d97u; x ^= x >> 15; return x; }
static inline void reseed(Rng &r, uint32_t seed, uint32_t stream) {
  r.a = mix(seed ^ mix(stream + 0x9e3779b9u));
  r.b = mix(r.a ^ mix(stream ^ 0x5bd1e995u) ^ seed);
  r.n = 0;
}
static inline uint32_t next(Rng &r) { r.n++; return mix(r.n * 0x9e3779b9u + r.a) ^ mix(r.n + r.b); }
static inline int below(Rng &r, uint32_t limit) { return (int)(((uint64_t)next(r) * limit) >> 32); }

static double tally[4 * 128 * 128];
static double turnCounts[2100];

static int g1(Rng &r) {
  int marks[13] = {0}, turns = 0;
  for (;;) {
    int x = 1 + below(r, 6), y = 1 + below(r, 6);
    tally[x * 128 + y]++;
    turns++;
    if (++marks[x + y] == 10) return turns;
  }
}

enum { TEN = 100, REVERSE = 101, SKIP = 102 };
struct Deck { int cards[64], discard[64], left, thrown, size; };
static Deck deck;
static void shuffle(Rng &r, int *v, int n) { for (int i = n - 1; i > 0; i--) { int j = below(r, i + 1); int k = v[i]; v[i] = v[j]; v[j] = k; } }
static void draw(Rng &r, int *hand, int &held) {
  if (deck.left == 0) {
    if (deck.thrown == 0) return;
    memcpy(deck.cards, deck.discard, sizeof(int) * deck.thrown);
    deck.left = deck.thrown; deck.thrown = 0;
    shuffle(r, deck.cards, deck.left);
  }
  hand[held++] = deck.cards[--deck.left];
}
static bool legal(int total, int card) { return card == TEN ? total >= 10 : card > TEN || total + card <= 100; }
static int worth(int total, int card) {
  if (card == SKIP) return 2;
  if (card == REVERSE) return 1;
  if (card == TEN) { int l = total - 10; return l > 10 && l % 10 == 0 ? 50 : -10; }
  int l = total + card;
  if (l >= 100) return 1000;
  return l % 10 == 0 ? 100 + card : card;
}
static int g2(Rng &r) {
  int n = 0;
  for (int c = 1; c <= 10; c++) for (int i = 0; i < 4; i++) deck.cards[n++] = c;
  for (int i = 0; i < 4; i++) deck.cards[n++] = TEN;
  deck.cards[n++] = REVERSE; deck.cards[n++] = REVERSE; deck.cards[n++] = SKIP; deck.cards[n++] = SKIP;
  deck.left = n; deck.thrown = 0;
  shuffle(r, deck.cards, n);
  int hands[3][4], held[3] = {0, 0, 0}, total = 0, order = 1, seat = 0, turns = 0;
  for (int s = 0; s < 3; s++) for (int i = 0; i < 4; i++) draw(r, hands[s], held[s]);
  for (; turns < 2000;) {
    turns++;
    int *h = hands[seat], best = -1, bestWorth = -100000, step = 1;
    for (int i = 0; i < held[seat]; i++) if (legal(total, h[i])) { int w = worth(total, h[i]); if (w > bestWorth) { best = i; bestWorth = w; } }
    int place = best;
    if (place < 0) { place = 0; for (int i = 1; i < held[seat]; i++) if (h[i] > h[place]) place = i; }
    int card = h[place];
    h[place] = h[--held[seat]];
    deck.discard[deck.thrown++] = card;
    if (best >= 0) {
      if (card == REVERSE) order = -order;
      else if (card == SKIP) step = 2;
      else if (card == TEN) { tally[128 * 128 + total * 128 + 10]++; total -= 10; }
      else { tally[total * 128 + card]++; total += card; if (total == 100) return turns; }
    }
    draw(r, h, held[seat]);
    seat = ((seat + order * step) % 3 + 3) % 3;
  }
  return turns;
}

static int g3(Rng &r) {
  static const int cards[12] = {0, 10, 1, 9, 2, 8, 3, 7, 4, 6, 5, 5};
  int deal[12], value[12], seen[12] = {0}, flips = 0, left = 12, seat = 0;
  bool there[12], mind[12];
  for (int i = 0; i < 12; i++) deal[i] = i;
  shuffle(r, deal, 12);
  for (int i = 0; i < 12; i++) { value[deal[i]] = cards[i]; there[i] = true; }
  while (left > 0) {
    for (int i = 0; i < 12; i++) mind[i] = there[i] && seen[i] > 0 && (seat == 0 || flips - seen[i] < 5);
    int x = -1, y = -1;
    for (int i = 0; i < 12 && x < 0; i++) if (mind[i]) for (int j = i + 1; j < 12; j++) if (mind[j] && value[i] + value[j] == 10) { x = i; break; }
    auto other = [&](int except) {
      int fresh = 0, any = 0;
      for (int i = 0; i < 12; i++) if (there[i] && i != except) { any++; if (!mind[i]) fresh++; }
      int k = below(r, fresh > 0 ? fresh : any);
      for (int i = 0; i < 12; i++) if (there[i] && i != except && (fresh == 0 || !mind[i]) && k-- == 0) return i;
      return -1;
    };
    if (x < 0) x = other(-1);
    seen[x] = ++flips;
    tally[value[x] * 128 + 10 - value[x]]++;
    for (int j = 0; j < 12; j++) if (j != x && mind[j] && value[x] + value[j] == 10) { y = j; break; }
    if (y < 0) y = other(x);
    seen[y] = ++flips;
    if (value[x] + value[y] == 10) { there[x] = there[y] = false; left -= 2; }
    else { tally[128 * 128 + value[x] * 128 + value[y]]++; seat = 1 - seat; }
  }
  return flips;
}

int main() {
  char name[8];
  int ms;
  uint32_t game = 0;
  while (scanf("%7s %d", name, &ms) == 2) {
    auto began = std::chrono::steady_clock::now();
    double turns = 0, seconds = 0;
    long games = 0;
    Rng r;
    do {
      for (int i = 0; i < 256; i++) {
        reseed(r, 7, game++);
        int t = name[1] == '1' ? g1(r) : name[1] == '2' ? g2(r) : g3(r);
        turnCounts[t]++;
        turns += t;
      }
      games += 256;
      seconds = std::chrono::duration<double>(std::chrono::steady_clock::now() - began).count();
    } while (seconds * 1000 < ms);
    printf("%.1f %.4f\n", games / seconds, turns / games);
    fflush(stdout);
  }
}
