# frozen_string_literal: true

require "web_helper"
require "puma"
require "socket"
require_relative "../../config/body_gate"

# How much may be sent is decided by the web server before the body comes: what nobody signed in may send is small.
RSpec.describe "the web server's gate for bodies" do
  around do |example|
    @calls = 0
    app = ->(env) { [200, {}, [(@calls += 1) && env["rack.input"].read.bytesize.to_s]] }
    @server = Puma::Server.new(app, nil, { min_threads: 1, max_threads: 2, log_writer: Puma::LogWriter.null })
    @port = @server.add_tcp_listener("127.0.0.1", 0).addr[1]
    @server.run
    example.run
  ensure
    @server.stop(true)
  end

  # The answer's status to headers that announce so many bytes, of which none is sent.
  def announced(path, bytes, *headers)
    socket = TCPSocket.new("127.0.0.1", @port)
    length = "Content-Length: #{bytes}" if bytes
    socket.write(["POST #{path} HTTP/1.1", "Host: localhost", length, *headers, "", ""].compact.join("\r\n"))
    yield socket if block_given?
    socket.wait_readable(3) ? socket.gets.to_s.split[1].to_i : :waits
  ensure
    socket&.close
  end

  it "refuses four hundred megabytes of whoever has no ticket, without reading them, and waits for theirs who has" do
    large = 400 * 1024 * 1024
    here = App::Web::UploadTicket.on("/studios/archive", NOW)
    expect(announced("/studios/archive", large)).to eq 413
    expect(announced("/sign-in", large)).to eq 413
    expect(announced(here.sub("archive?", "archive2?"), large)).to eq 413
    expect(announced(here, large)).to eq :waits
    expect(announced(here, 600 * 1024 * 1024)).to eq 413
    expect(@calls).to eq 0
  end

  it "counts what comes without a length as it comes, and lets a form in" do
    chunk = "100000\r\n#{'x' * 0x100000}\r\n"
    status = announced("/sign-in", nil, "Transfer-Encoding: chunked") do |socket|
      3.times { socket.write(chunk) }
    rescue SystemCallError
      nil # ended from the other side
    end
    expect(status).to eq 413
    expect(announced("/sign-in", 3) { |socket| socket.write("a=b") }).to eq 200
  end
end
