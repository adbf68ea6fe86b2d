package app.leeward.server.store;

import org.springframework.data.jpa.repository.JpaRepository;

/** What the demo made. */
public interface DemoDocuments extends JpaRepository<DemoDocumentRow, String> {}
