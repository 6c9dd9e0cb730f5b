/** How the port does its work on a real day, and the layers that may be put around it. */
package gullwing.works;
