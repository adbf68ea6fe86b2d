package app.leeward.server.api;

import app.leeward.server.store.ExportState;
import app.leeward.server.studio.ExportJobs;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;

/**
 * A file that is being made, waits for it, or can be fetched.
 *
 * @param label what it is, in words
 * @param share how much is done, 0 to 1
 * @param ahead how many wait before it
 * @param bytes how long the file is; 0 while it is not there
 * @param problem why it was refused
 */
public record ExportView(
        UUID id,
        UUID character,
        UUID line,
        String label,
        String fileName,
        String mediaType,
        Instant askedAt,
        ExportState state,
        double share,
        long ahead,
        long bytes,
        Optional<ExportProblem> problem) {

    /**
     * @param code stable, for programs
     * @param detail a sentence
     */
    public record ExportProblem(String code, String detail) {}

    static ExportView of(ExportJobs.Told told) {
        return new ExportView(
                told.row().getId(),
                told.row().character(),
                told.row().shot(),
                told.row().label(),
                told.row().fileName(),
                told.row().mediaType(),
                told.row().askedAt(),
                told.row().state(),
                told.row().share(),
                told.ahead(),
                told.row().bytes(),
                told.problem().map(p -> new ExportProblem(p.get("code"), p.get("detail"))));
    }
}
