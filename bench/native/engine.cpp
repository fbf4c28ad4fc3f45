// The same three games as the engine's, written by hand with the same random numbers, as a
// yardstick. Two programs come of this source: the bare games, which count items and turns
// only, and (with -DTALLIES) the games filling the tallies the engine fills: items by seat
// with the time they take, choices, turns with nothing to do, waiting, minutes, measures.
// Reads "G1 50" (game, milliseconds) from standard input and answers with games a second,
// the mean turns and (with tallies) the mean minutes of those games, so that both can be compared.
#include <chrono>
#include <cmath>
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

#ifdef TALLIES
enum { PLACES = 4 * 128 * 128, SEATS = 3, CAP = 2100, BINS = 3000 };
static int32_t itemTicks[PLACES], turnTicks[64];
static int32_t batch[SEATS * PLACES], met[SEATS * PLACES], metCount;
static double total[SEATS * PLACES], turnCounts[CAP], roundCounts[CAP], minuteCounts[BINS];
static struct Game { int turns, rounds, choices, moveless, winner; int32_t ticks[SEATS]; double scores[SEATS], extra[8]; } game;
static struct Sums { double games, turns, rounds, seconds, choices, moveless, waiting, ties, score, items, first, second, extra[8], wins[SEATS], itemsOf[SEATS]; } sums;
static int seats;

/** Hundredths of a second: facts 8 s, crossing a ten 14 s, a turn 12 s and 2 s a doubling of the choices. */
static void clearSums() { sums = {}; }
static double meanMinutes() { return sums.seconds / sums.games / 60; }
static void prepare() {
  for (int i = 0; i < PLACES; i++) {
    int minus = i / (128 * 128) == 1, a = i / 128 % 128, b = i % 128;
    int crossing = minus ? a % 10 && a % 10 < b % 10 : a % 10 + b % 10 > 10;
    itemTicks[i] = a >= 10 && b >= 10 && b % 10 ? 2100 : crossing ? 1400 : 800;
  }
  for (int n = 0; n < 64; n++) turnTicks[n] = 1200 + (n > 1 ? (int)(200 * std::log2(n) + 0.5) : 0);
}
static inline void item(int seat, int channel, int a, int b) {
  int place = channel * 128 * 128 + a * 128 + b, at = seat * PLACES + place;
  if (batch[at]++ == 0) met[metCount++] = at;
  game.ticks[seat] += itemTicks[place];
}
static inline void turn(int seat, int choices) {
  game.turns++;
  game.choices += choices;
  game.ticks[seat] += turnTicks[choices];
  if (choices == 0) game.moveless++;
}
static void begin(int players) { game = {}; game.winner = -1; seats = players; }
static void end(int turns) {
  double seconds = 0, waiting = 0, score = 0;
  for (int s = 0; s < seats; s++) seconds += game.ticks[s] / 100.0;
  if (seconds < turns * 3) seconds = turns * 3;
  for (int s = 0; s < seats; s++) { waiting += 1 - game.ticks[s] / 100.0 / seconds; score += game.scores[s]; }
  sums.games++; sums.turns += game.turns; sums.rounds += game.rounds; sums.seconds += seconds;
  sums.choices += game.choices; sums.moveless += game.moveless; sums.waiting += waiting / seats; sums.score += score / seats;
  if (game.winner < 0) sums.ties++; else sums.wins[game.winner]++;
  for (int e = 0; e < 8; e++) sums.extra[e] += game.extra[e];
  turnCounts[game.turns]++; roundCounts[game.rounds]++;
  int bin = (int)(seconds / 6);
  minuteCounts[bin < BINS ? bin : BINS - 1]++;
}
/** Moves the batch into the totals. */
static void fold() {
  for (int i = 0; i < metCount; i++) {
    int at = met[i], seat = at / PLACES, count = batch[at];
    batch[at] = 0;
    total[at] += count; sums.items += count; sums.itemsOf[seat] += count;
    sums.first += count * (double)(at / 128 % 128); sums.second += count * (double)(at % 128);
  }
  metCount = 0;
}
#else
static double tally[4 * 128 * 128];
static double turnCounts[2100];
static inline void item(int, int channel, int a, int b) { tally[channel * 128 * 128 + a * 128 + b]++; }
static inline void turn(int, int) {}
static void begin(int) {}
static void end(int turns) { turnCounts[turns]++; }
static void fold() {}
static void prepare() {}
static void clearSums() {}
static double meanMinutes() { return 0; }
#endif

static int g1(Rng &r) {
  int marks[13] = {0}, turns = 0;
  begin(1);
  for (;;) {
    int x = 1 + below(r, 6), y = 1 + below(r, 6);
    item(0, 0, x, y);
    turn(0, 1);
    turns++;
    if (++marks[x + y] == 10) {
#ifdef TALLIES
      game.rounds = turns;
      for (int c = 2; c <= 12; c++) if (marks[c] == 0) game.extra[0]++;
      game.extra[1] = 1; game.extra[2] = x + y;
#endif
      return turns;
    }
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
  begin(3);
  for (; turns < 2000;) {
    turns++;
    int *h = hands[seat], best = -1, bestWorth = -100000, step = 1, different = 0;
    for (int i = 0; i < held[seat]; i++) if (legal(total, h[i])) {
#ifdef TALLIES
      bool fresh = true;
      for (int j = 0; j < i; j++) if (h[j] == h[i]) fresh = false;
      different += fresh;
#endif
      int w = worth(total, h[i]);
      if (w > bestWorth) { best = i; bestWorth = w; }
    }
    turn(seat, different);
    int place = best;
    if (place < 0) { place = 0; for (int i = 1; i < held[seat]; i++) if (h[i] > h[place]) place = i; }
    int card = h[place];
    h[place] = h[--held[seat]];
    deck.discard[deck.thrown++] = card;
    if (best >= 0) {
      if (card == REVERSE) order = -order;
      else if (card == SKIP) step = 2;
      else {
        if (card == TEN) { item(seat, 1, total, 10); total -= 10; }
        else { item(seat, 0, total, card); total += card; }
#ifdef TALLIES
        if (total % 10 == 0) game.extra[0]++;
        if (total == 100) { game.winner = seat; game.scores[seat] = 1; game.rounds = (turns + 2) / 3; }
#endif
        if (total == 100) return turns;
      }
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
  begin(2);
  while (left > 0) {
    turn(seat, left > 2 ? left : 1);
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
    item(seat, 0, value[x], 10 - value[x]);
    for (int j = 0; j < 12; j++) if (j != x && mind[j] && value[x] + value[j] == 10) { y = j; break; }
    if (y < 0) y = other(x);
    seen[y] = ++flips;
    if (value[x] + value[y] == 10) {
      there[x] = there[y] = false; left -= 2;
#ifdef TALLIES
      game.scores[seat]++;
#endif
    }
    else { item(seat, 2, value[x], value[y]); seat = 1 - seat; }
  }
#ifdef TALLIES
  game.extra[0] = flips;
  game.rounds = (game.turns + 1) / 2;
  game.winner = game.scores[0] > game.scores[1] ? 0 : game.scores[1] > game.scores[0] ? 1 : -1;
#endif
  return flips;
}

int main() {
  char name[8];
  int ms;
  uint32_t number = 0;
  prepare();
  while (scanf("%7s %d", name, &ms) == 2) {
    auto began = std::chrono::steady_clock::now();
    double turns = 0, seconds = 0;
    long games = 0;
    Rng r;
    clearSums();
    do {
      for (int i = 0; i < 256; i++) {
        reseed(r, 7, number++);
        int t = name[1] == '1' ? g1(r) : name[1] == '2' ? g2(r) : g3(r);
        end(t);
        turns += t;
      }
      fold();
      games += 256;
      seconds = std::chrono::duration<double>(std::chrono::steady_clock::now() - began).count();
    } while (seconds * 1000 < ms);
    printf("%.1f %.4f %.4f\n", games / seconds, turns / games, meanMinutes());
    fflush(stdout);
  }
}
