package app.leeward.server;

import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.autoconfigure.security.servlet.UserDetailsServiceAutoConfiguration;

/** Starts Leeward. Nobody signs in yet, so there is no list of users either. */
@SpringBootApplication(exclude = UserDetailsServiceAutoConfiguration.class)
public class LeewardApplication {
    public static void main(String[] args) {
        SpringApplication.run(LeewardApplication.class, args);
    }
}
