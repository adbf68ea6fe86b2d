package app.leeward.server.store;

import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

/** All recordings. */
public interface Sounds extends JpaRepository<SoundRow, String> {
    @Modifying
    @Query(
            value = "insert into sound (hash, wav, seconds) values (:hash, :wav, :seconds) on conflict do nothing",
            nativeQuery = true)
    void keep(String hash, byte[] wav, double seconds);
}
