/** How well recordings are read: sentences by Debian's synthetic voices, whose true times are known, in quiet and in noise. */
package app.leeward.bench.heard;
