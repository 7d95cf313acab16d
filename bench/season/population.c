// The population of packages/core/src/season/population.ts, written in C, for the bench to measure it against.
// Reads a question from standard input as 64-bit numbers, writes seconds and all counts as such to standard output.
#include <math.h>
#include <stdio.h>
#include <stdlib.h>
#include <string.h>
#include <time.h>

enum { MOST_STAGES = 12, MOST_SIZE = 1200, MOST_RESIDUES = 32 };

static const double most_share = 1 - 1e-9, least_hazard = 1e-5, precision = 1e-12, most_events = 30;

static int stages, size, firsts[MOST_STAGES + 1], entry;
static double lower[MOST_STAGES], heat[MOST_STAGES], steps_of[MOST_STAGES], deaths[MOST_STAGES], initial[MOST_STAGES];
static double eggs_per_day, arrivals_per_day;
static double now[MOST_SIZE], next[MOST_SIZE], moves[MOST_STAGES], out[MOST_STAGES], added[MOST_STAGES];

typedef struct {
  double half_life, hazard[MOST_STAGES];
} Residue;
static Residue residues[MOST_RESIDUES];
static int residue_count;

typedef struct {
  int day;
  double half_life, share[MOST_STAGES];
} Treatment;

static double get(void) {
  double value;
  if (fread(&value, sizeof value, 1, stdin) != 1) exit(2);
  return value;
}

static int terms_of(double events, double lay, int young) {
  double weight = exp(-events);
  for (int n = 1;; n++) {
    weight *= events / n;
    if (n < events) continue;
    double left_out = weight;
    for (int laid = 0; laid <= n; laid += young + 1) left_out *= 1 + lay * n;
    if (left_out < precision) return n + n % 2;
  }
}

static void series(double days, double q, double births) {
  double on[MOST_STAGES], stay[MOST_STAGES];
  for (int i = 0; i < stages; i++) {
    on[i] = moves[i] / q;
    stay[i] = 1 - (out[i] + added[i]) / q;
  }
  double arrivals = arrivals_per_day / q, events = q * days, lay = births / q, outside = 1;
  int adult = firsts[stages - 1];
  memcpy(next, now, size * sizeof *now);
  for (int n = terms_of(events, lay, adult); n > 0; n--) {
    double times = events / n, eggs = 0;
    for (int j = adult; j < size; j++) eggs += next[j];
    for (int i = stages - 1; i >= 0; i--) {
      int first = firsts[i];
      double go = times * on[i], keep = times * stay[i];
      for (int j = firsts[i + 1] - 1; j > first; j--) next[j] = now[j] + keep * next[j] + go * next[j - 1];
      double entering = i > 0 ? on[i - 1] * next[first - 1] : lay * eggs;
      next[first] = now[first] + keep * next[first] + times * (first == entry ? entering + arrivals * outside : entering);
    }
    outside = 1 + times * outside;
  }
  double none = exp(-events);
  for (int j = 0; j < size; j++) now[j] = none * next[j];
}

static void advance(double days, double births) {
  double fastest = fmax(births / 2, 1e-6);
  for (int i = 0; i < stages; i++) fastest = fmax(fastest, out[i] + added[i]);
  int parts = (int)ceil(fastest * days / most_events);
  for (int part = 0; part < parts; part++) series(days / parts, fastest, births);
}

static void half(int step, int steps, double first, double second) {
  const double early = 0.5 - sqrt(3) / 6, late = 0.5 + sqrt(3) / 6;
  for (int i = 0; i < stages; i++) added[i] = 0;
  for (int r = 0; r < residue_count; r++) {
    double length = steps * residues[r].half_life;
    double part = 2 * (first * pow(2, -(step + early) / length) + second * pow(2, -(step + late) / length));
    for (int i = 0; i < stages; i++) added[i] += part * residues[r].hazard[i];
  }
}

static void treat(const Treatment *one) {
  Residue *stays = NULL;
  if (one->half_life > 0) {
    for (int r = 0; r < residue_count; r++)
      if (residues[r].half_life == one->half_life) stays = &residues[r];
    if (!stays) {
      stays = &residues[residue_count++];
      memset(stays, 0, sizeof *stays);
      stays->half_life = one->half_life;
    }
  }
  for (int i = 0; i < stages; i++) {
    for (int j = firsts[i]; j < firsts[i + 1]; j++) now[j] *= 1 - one->share[i];
    if (stays) stays->hazard[i] -= log1p(-fmin(one->share[i], most_share));
  }
}

static void day_of(double births) {
  const double heavy = 0.25 + sqrt(3) / 6, light = 0.25 - sqrt(3) / 6;
  for (int i = 0; i < stages; i++) added[i] = 0;
  if (residue_count == 0) {
    advance(1, births);
    return;
  }
  double wanted = 1;
  for (int r = 0; r < residue_count; r++) {
    wanted = fmax(wanted, 1 / residues[r].half_life);
    for (int i = 0; i < stages; i++) wanted = fmax(wanted, residues[r].hazard[i] / 2);
  }
  int steps = (int)ceil(wanted);
  for (int step = 0; step < steps; step++) {
    half(step, steps, heavy, light);
    advance(0.5 / steps, births);
    half(step, steps, light, heavy);
    advance(0.5 / steps, births);
  }
}

static void fade(void) {
  int kept = 0;
  for (int r = 0; r < residue_count; r++) {
    double left = pow(2, -1 / residues[r].half_life), most = 0;
    for (int i = 0; i < stages; i++) most = fmax(most, residues[r].hazard[i] *= left);
    if (most >= least_hazard) residues[kept++] = residues[r];
  }
  residue_count = kept;
}

static void run(const double *celsius, int days, const Treatment *treatments, int count, double mortality, double eggs, double *counts) {
  memset(now, 0, sizeof now);
  for (int i = 0; i < stages; i++) now[firsts[i]] = initial[i];
  residue_count = 0;
  for (int day = 0; day < days; day++) {
    for (int t = 0; t < count; t++)
      if (treatments[t].day == day) treat(&treatments[t]);
    for (int i = 0; i < stages; i++) {
      moves[i] = steps_of[i] * fmax(0, celsius[day] - lower[i]) / heat[i];
      out[i] = moves[i] + deaths[i] * mortality;
    }
    day_of(eggs_per_day * eggs);
    fade();
    for (int i = 0; i < stages; i++) {
      double total = 0;
      for (int j = firsts[i]; j < firsts[i + 1]; j++) total += now[j];
      counts[day * stages + i] = total;
    }
  }
}

int main(void) {
  stages = (int)get();
  for (int i = 0; i < stages; i++) {
    lower[i] = get(), heat[i] = get(), steps_of[i] = get(), deaths[i] = get(), initial[i] = get();
    firsts[i + 1] = firsts[i] + (int)steps_of[i];
  }
  size = firsts[stages];
  eggs_per_day = get(), entry = firsts[(int)get()], arrivals_per_day = get();
  int days = (int)get(), runs = (int)get(), strategies = (int)get();
  double *celsius = malloc(sizeof(double) * runs * days), *factors = malloc(sizeof(double) * runs * 2);
  for (int i = 0; i < runs * days; i++) celsius[i] = get();
  for (int i = 0; i < runs * 2; i++) factors[i] = get();
  Treatment *treatments = calloc(strategies * 32, sizeof *treatments);
  int *counts_of = calloc(strategies, sizeof *counts_of);
  for (int s = 0; s < strategies; s++) {
    counts_of[s] = (int)get();
    for (int t = 0; t < counts_of[s]; t++) {
      Treatment *one = &treatments[s * 32 + t];
      one->day = (int)get(), one->half_life = get();
      for (int i = 0; i < stages; i++) one->share[i] = get();
    }
  }
  size_t total = (size_t)strategies * runs * days * stages;
  double *counts = malloc(sizeof(double) * total);
  struct timespec began, ended;
  clock_gettime(CLOCK_MONOTONIC, &began);
  for (int s = 0; s < strategies; s++)
    for (int r = 0; r < runs; r++)
      run(celsius + r * days, days, treatments + s * 32, counts_of[s], factors[2 * r], factors[2 * r + 1],
          counts + ((size_t)s * runs + r) * days * stages);
  clock_gettime(CLOCK_MONOTONIC, &ended);
  double seconds = ended.tv_sec - began.tv_sec + (ended.tv_nsec - began.tv_nsec) / 1e9;
  fwrite(&seconds, sizeof seconds, 1, stdout);
  fwrite(counts, sizeof *counts, total, stdout);
  return 0;
}
