/**
 * Characterization: what the code does now, pinned down before it is touched, and compared afterwards. Observed code
 * runs only in the witness, a process of its own with limits on time and memory.
 * Its rooms, each using those before it only: {@code build} (what is run), {@code process}, {@code view} (what a client
 * sees), {@code slip}, {@code recording}, {@code replay}, {@code input}, {@code run}, {@code search}, {@code tests}; the two
 * tasks themselves, {@link driftwood.behaviour.Characterization} and {@link driftwood.behaviour.Confirmation}, stand above.
 */
package driftwood.behaviour;
