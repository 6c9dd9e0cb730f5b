/** What the ferry port works with: contracts, and the plain data that passes between them. */
package gullwing.port;
