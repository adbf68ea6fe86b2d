package app.leeward.server.store;

import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;

/** The name somebody gave to a revision. */
@Entity
@Table(name = "milestone")
public class MilestoneRow {
    @EmbeddedId
    private RevisionKey key;

    private String name;

    protected MilestoneRow() {}

    public MilestoneRow(RevisionKey key, String name) {
        this.key = key;
        this.name = name;
    }

    public int number() {
        return key.number();
    }

    public String name() {
        return name;
    }
}
