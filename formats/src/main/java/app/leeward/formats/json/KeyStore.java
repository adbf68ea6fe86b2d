package app.leeward.formats.json;

import app.leeward.core.shot.DialKey;
import java.util.List;
import java.util.Optional;

/**
 * Where long tracks of keys are kept by their content, apart from the shots they are in. An edit changes one track or a few; of the
 * others a shot that is stored again says the hash.
 */
public interface KeyStore {
    /** Fewest keys that are kept apart; fewer are quicker said than looked up. */
    int FEWEST = 64;

    /** Whether keys are kept apart at all when something is written. */
    boolean keeps();

    /** The hash of keys that certainly lie here already. */
    Optional<String> known(List<DialKey> keys);

    /** @param json the keys as a list, in the form that is written now */
    void put(List<DialKey> keys, String hash, String json);

    /**
     * Keys that were put here in the form that is written now.
     *
     * @throws IllegalStateException when nothing with this hash was ever put here
     */
    List<DialKey> get(String hash);

    /** The same as they were written, in whatever form that was. */
    String text(String hash);

    /** For what holds all it needs in itself: keys stand in their shots, and none lie here. */
    static KeyStore none() {
        return new KeyStore() {
            @Override
            public boolean keeps() {
                return false;
            }

            @Override
            public Optional<String> known(List<DialKey> keys) {
                return Optional.empty();
            }

            @Override
            public void put(List<DialKey> keys, String hash, String json) {
                throw new IllegalStateException("no keys are kept here");
            }

            @Override
            public List<DialKey> get(String hash) {
                throw new IllegalStateException("keys " + hash + " are missing");
            }

            @Override
            public String text(String hash) {
                throw new IllegalStateException("keys " + hash + " are missing");
            }
        };
    }
}
