package dev.patientharbor.report;

import java.net.URI;
import java.net.URISyntaxException;
import java.nio.file.Path;

/** The name of a file as a URI reference (RFC 3986): relative stays relative. */
final class ArtifactUri {

    private ArtifactUri() {}

    static String of(String file) {
        String path = file.replace('\\', '/');
        try {
            if (Path.of(file).isAbsolute()) {
                String rooted = path.startsWith("/") ? path : '/' + path;
                return new URI("file", "", rooted, null).toASCIIString();
            }
            boolean looksLikeScheme = path.indexOf(':') >= 0;
            return new URI(null, null, looksLikeScheme ? "./" + path : path, null).toASCIIString();
        } catch (URISyntaxException | IllegalArgumentException unfit) {
            return "";
        }
    }
}
