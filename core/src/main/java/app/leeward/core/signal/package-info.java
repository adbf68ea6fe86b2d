/**
 * What a performer says of a face or of a device, by name, how its tremble is taken out, and which of it moves what of a rig. Start at
 * {@link app.leeward.core.signal.Signal}. Depends on nothing but numbers.
 */
package app.leeward.core.signal;
