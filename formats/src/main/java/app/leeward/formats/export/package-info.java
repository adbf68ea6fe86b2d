/**
 * Ways of handing something over, one class a format. A class that implements {@link app.leeward.formats.export.Exporter} and is named in
 * its module's {@code META-INF/services} is offered by the server and shown on the Hand over bench without another change.
 */
package app.leeward.formats.export;
