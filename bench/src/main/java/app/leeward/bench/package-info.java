/**
 * Benchmarks of what the budgets name. {@code ./leeward bench} runs all of them and prints their figures; they are
 * written down with the machine in docs/benchmarks.md. Never tests: nothing fails because a machine is slow.
 */
package app.leeward.bench;
