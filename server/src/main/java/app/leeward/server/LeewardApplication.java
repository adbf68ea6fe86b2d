package app.leeward.server;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;

/** Starts Leeward. */
@SpringBootApplication
public class LeewardApplication {
    public static void main(String[] args) {
        SpringApplication.run(LeewardApplication.class, args);
    }
}
