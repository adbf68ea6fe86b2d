package app.leeward.server.store;

import org.springframework.data.jpa.repository.JpaRepository;

/** All artwork. */
public interface Artworks extends JpaRepository<ArtworkRow, String>, ArtworkKeeping {}
