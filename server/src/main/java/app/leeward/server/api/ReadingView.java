package app.leeward.server.api;

import app.leeward.server.store.ReadingKind;
import app.leeward.server.store.ReadingState;
import app.leeward.server.studio.AskedScript;
import app.leeward.server.studio.LineReadings;
import java.util.Optional;
import java.util.UUID;

/**
 * A recording being read, or waiting for it.
 *
 * @param line the line it makes or changes; a new one is there once this is done
 * @param share how much is done, 0 to 1
 * @param ahead how many wait before it
 * @param problem why it was refused
 * @param name what the line is called; empty when nobody said
 * @param partOf the script it is a line of
 * @param outcome what came of a script that is done
 */
public record ReadingView(
        UUID id,
        ReadingKind kind,
        ReadingState state,
        UUID character,
        UUID line,
        double share,
        long ahead,
        Optional<ReadingProblem> problem,
        String name,
        Optional<UUID> partOf,
        Optional<AskedScript.Outcome> outcome) {

    /**
     * @param code stable, for programs
     * @param place {@code words} or {@code recording}; empty for neither
     * @param detail a sentence
     */
    public record ReadingProblem(String code, String place, String detail) {}

    static ReadingView of(LineReadings.Told told) {
        return new ReadingView(
                told.row().getId(),
                told.row().kind(),
                told.row().state(),
                told.row().character(),
                told.row().line(),
                told.row().share(),
                told.ahead(),
                told.problem()
                        .map(p -> new ReadingProblem(p.get("code"), p.getOrDefault("place", ""), p.get("detail"))),
                Optional.ofNullable(told.row().name()).orElse(""),
                Optional.ofNullable(told.row().partOf()),
                told.outcome());
    }
}
