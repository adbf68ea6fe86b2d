package app.leeward.server.store;

import jakarta.persistence.Embeddable;
import java.io.Serializable;
import java.util.UUID;

/** A revision's document and its number within, from 1. */
@Embeddable
public record RevisionKey(UUID document, int number) implements Serializable {}
