package app.leeward.server.store;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** All milestones. */
public interface Milestones extends JpaRepository<MilestoneRow, RevisionKey> {
    @Query("select m from MilestoneRow m where m.key.document = :document")
    List<MilestoneRow> of(UUID document);
}
