/*
 * The yardstick for the simulator's speed: the same kind of model (two wheels with a lag, a heading held by a
 * quantised gyro, a distance reading, a border), in steps of 2 ms, as plain C.
 *
 *   kernel RUNS STEPS      prints the nanoseconds that a step takes
 */
#include <math.h>
#include <stdint.h>
#include <stdio.h>
#include <stdlib.h>
#include <time.h>

static uint32_t s[4];

static inline uint32_t rotated(uint32_t x, int k) { return (x << k) | (x >> (32 - k)); }

/* xoshiro128+ (Blackman and Vigna). */
static inline uint32_t next(void) {
  uint32_t result = s[0] + s[3], t = s[1] << 9;
  s[2] ^= s[0];
  s[3] ^= s[1];
  s[1] ^= s[2];
  s[0] ^= s[3];
  s[2] ^= t;
  s[3] = rotated(s[3], 11);
  return result;
}

static inline double uniform(void) { return (next() >> 8) * (1.0 / 16777216.0); }

static inline double normal(void) {
  double u = uniform() + 1e-12, v = uniform();
  return sqrt(-2 * log(u)) * cos(6.283185307 * v);
}

int main(int count, char **arguments) {
  if (count < 3) return 2;
  int runs = atoi(arguments[1]), steps = atoi(arguments[2]);
  double dt = .002, sum = 0;
  struct timespec a, b;
  s[0] = 1;
  s[1] = 2;
  s[2] = 3;
  s[3] = 4;
  clock_gettime(CLOCK_MONOTONIC, &a);
  for (int run = 0; run < runs; run++) {
    double x = .2, y = .2, heading = 0, left = 0, right = 0, gyro = 0;
    double left_command = .2, right_command = .2, target = 0, distance = 0;
    double slip = 1 + .004 * normal();
    for (int i = 0; i < steps; i++) {
      if (i % 5 == 0) {
        double reading = round(gyro * 57.29578) / 57.29578;
        double half = .25 * (target - reading);
        left_command = .2 - half;
        right_command = .2 + half;
        if (i % 2000 == 1000) target += 1.5708;
      }
      left += (left_command - left) * dt / .06;
      right += (right_command - right) * dt / .06;
      double rate = (right * slip - left) / .14, speed = .5 * (left + right * slip);
      double c = cos(heading), d = sin(heading);
      x += speed * c * dt;
      y += speed * d * dt;
      heading += rate * dt;
      gyro += (rate + .002) * dt + .0003 * normal();
      if (i % 10 == 0) {
        double along_x = c > 0 ? (2.2 - x) / c : (0 - x) / c;
        double along_y = d > 0 ? (1.1 - y) / d : (0 - y) / d;
        distance = (along_x < along_y ? along_x : along_y) + .003 * normal();
      }
      if (x < .05) x = .05;
      if (x > 2.15) x = 2.15;
      if (y < .05) y = .05;
      if (y > 1.05) y = 1.05;
    }
    sum += x + y + heading + distance;
  }
  clock_gettime(CLOCK_MONOTONIC, &b);
  double seconds = (b.tv_sec - a.tv_sec) + 1e-9 * (b.tv_nsec - a.tv_nsec);
  printf("%.3f %.6f\n", seconds * 1e9 / runs / steps, sum);
  return 0;
}
