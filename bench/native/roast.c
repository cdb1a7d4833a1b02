/* The kernel of src/core/heat/kernel.ts, step for step, as a yardstick: gcc -O3 roast.c -o roast -lm
 * usage: roast FILE STEPS REPEATS   FILE: doubles written by bench/speed.ts in the order read below. */
#include <math.h>
#include <stdio.h>
#include <stdlib.h>
#include <string.h>
#include <time.h>

#define MAX 64
#define ROWS 65536
static double temperature_row[ROWS], conductivity_row[ROWS], capacity_row[ROWS], heat_row[ROWS], per_mass[MAX];
static int rows, heat_rows, n;
static double per_joule, mass[MAX], geometry[MAX];
static double surface_geometry, area, exposure, wetness, body_mass, water_per_volume, conduction, core_weight;
static double factor0, free_water, crust_w, crust_d, replenished, dt, air, wall, h, emissivity, evaporation, start_h, short_way, yield0, yield1, yield2, dries, resting;
static double H[MAX], T[MAX], K[MAX], S[MAX], up[MAX], ri[MAX], ac[MAX];

static inline void read_temperature(int i) {
  double x = H[i] * per_joule, top = rows - 1.000001;
  if (x < 0) x = 0; else if (x > top) x = top;
  int row = (int)x;
  double low = temperature_row[row], rise = temperature_row[row + 1] - low;
  T[i] = low + (x - row) * rise;
  S[i] = capacity_row[row];
  K[i] = conductivity_row[row];
}

static double roast(int steps) {
  double front, surface, crust = 0, lost = 0, browning = 0, dried = 0, yields = 0;
  for (int i = 0; i < n; i++) { H[i] = start_h; read_temperature(i); }
  front = surface = T[0];
  for (int s = 0; s < steps; s++) {
    int last = n - 1;
    double wk = wall + 273.15, sk = surface + 273.15;
    double rad = emissivity * 5.670374e-8 * (wk * wk + sk * sk) * (wk + sk), outside = h + rad;
    double effective = (h * air + rad * wall) / outside;
    if (yields == 0) yields = outside * exposure;
    double held = 1 / (1 + yields * short_way / (factor0 * K[n >> 1]));
    double conducts = conduction * exp(yield0 + held * (yield1 + held * yield2));
    double kept = 1 - lost, shrunk = cbrt(kept), factor = factor0 * conducts * shrunk, per = 1 / dt, half = factor / 2, step_per_kept = dt;
    double below = 0, carry = 0, right = 0;
    for (int i = 0; i < last; i++) {
      double c = mass[i] * per * S[i];
      double above = half * (K[i] + K[i + 1]) * geometry[i];
      ac[i] = above;
      double p = 1 / (c + below + above - below * carry);
      carry = above * p;
      right = (c * T[i] + below * right) * p;
      up[i] = carry; ri[i] = right; below = above;
    }
    double to_front = factor * K[last] * surface_geometry, c = mass[last] * per * S[last];
    double p = 1 / (c + below + to_front - below * carry);
    double alpha = (c * T[last] + below * right) * p, beta = to_front * p;
    double exposed = area * exposure * shrunk * shrunk;
    double through = exposed / (1 / outside + crust / crust_w);
    double dry = 1 - lost / free_water;
    double wet = effective > 75 ? wetness * exp(-dried / dries) : resting;
    double transfer = exposed * wet * evaporation * (dry > 0 ? dry : 0) / (950 * 0.92 / h + crust / crust_d);
    double inward = to_front * (1 - beta), fixed = through * effective + to_front * alpha, ev = 0, steep = 0;
    for (int k = 0; k < 40; k++) {
      int row = (int)((front + 30) * 4);
      if (row < 0) row = 0; else if (row > heat_rows - 2) row = heat_rows - 2;
      double low = heat_row[row], rise = (heat_row[row + 1] - low) * 4, at = -30 + row / 4.0;
      double line = transfer * (low - rise * at), next = (fixed - line) / (through + inward + transfer * rise);
      ev = line + transfer * rise * next;
      steep = transfer * rise;
      double change = next - front;
      front = next;
      if (change < 1e-7 && change > -1e-7) break;
    }
    double outer = alpha + beta * front, inflow = to_front * (front - outer);
    for (int i = last; i >= 0; i--) {
      double outflow = 0, inner = 0;
      if (i > 0) { inner = ri[i - 1] + up[i - 1] * outer; outflow = ac[i - 1] * (outer - inner); }
      H[i] += (inflow - outflow) * step_per_kept * per_mass[i];
      read_temperature(i);
      inflow = outflow; outer = inner;
    }
    double drawn = through * (effective - front);
    surface = effective - drawn / (exposed * outside);
    yields = (through + steep) / (area * shrunk * shrunk);
    if (effective > 75) dried += dt * evaporation;
    double gone = ev / (2501000 - 2381 * front) * dt;
    if (gone > 0) { lost += gone / body_mass; crust += gone * (1 - replenished) / (exposed * water_per_volume); }
    if (surface > 60) browning += dt * exp(12027 * (1 / 423.15 - 1 / (surface + 273.15)));
  }
  return T[0] - core_weight * (T[1] - T[0]) + 0 * browning;
}

static double next_number(FILE *f) { double x; if (fread(&x, 8, 1, f) != 1) exit(2); return x; }

int main(int argc, char **argv) {
  if (argc < 4) return 2;
  FILE *f = fopen(argv[1], "rb");
  if (!f) return 2;
  n = (int)next_number(f); rows = (int)next_number(f); heat_rows = (int)next_number(f); per_joule = next_number(f);
  if (n > MAX || rows > ROWS || heat_rows > ROWS) { fprintf(stderr, "the table is larger than the yardstick holds\n"); return 3; }
  for (int i = 0; i < rows; i++) temperature_row[i] = next_number(f);
  for (int i = 0; i < rows; i++) conductivity_row[i] = next_number(f);
  for (int i = 0; i < rows; i++) capacity_row[i] = next_number(f);
  for (int i = 0; i < heat_rows; i++) heat_row[i] = next_number(f);
  for (int i = 0; i < n; i++) mass[i] = next_number(f);
  for (int i = 0; i < n; i++) per_mass[i] = 1 / mass[i];
  for (int i = 0; i < n; i++) geometry[i] = next_number(f);
  double *scalars[] = {&surface_geometry, &area, &exposure, &wetness, &body_mass, &water_per_volume, &conduction,
    &core_weight, &factor0, &free_water, &crust_w, &crust_d, &replenished, &dt, &air, &wall, &h, &emissivity,
    &evaporation, &start_h, &short_way, &yield0, &yield1, &yield2, &dries, &resting};
  for (unsigned i = 0; i < sizeof scalars / sizeof *scalars; i++) *scalars[i] = next_number(f);
  int steps = atoi(argv[2]), repeats = atoi(argv[3]);
  double core = 0;
  struct timespec a, b;
  for (int r = 0; r < repeats; r++) {
    clock_gettime(CLOCK_MONOTONIC, &a);
    core = roast(steps);
    clock_gettime(CLOCK_MONOTONIC, &b);
    printf("%.6f\n", (b.tv_sec - a.tv_sec) * 1e3 + (b.tv_nsec - a.tv_nsec) / 1e6);
  }
  printf("core %.6f\n", core);
  return 0;
}
