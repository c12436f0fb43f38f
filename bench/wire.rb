# frozen_string_literal: true

require "socket"

module Bench
  # A kept connection that costs the measured machine as little as can be: what it sends is text, and of an answer it
  # reads the code and as many bytes as it says. Opened anew where the server closes it (Puma does after 999 requests).
  class Wire
    def self.open(port)
      wire = new(port)
      yield wire
    ensure
      wire&.close
    end

    def initialize(port)
      @port = port
      connect
    end

    # The answer's code.
    def post(path, headers, body)
      all = { "Host" => "127.0.0.1:#{@port}", **headers, "Content-Length" => body.bytesize }
      @socket.write("POST #{path} HTTP/1.1\r\n#{all.map { |name, value| "#{name}: #{value}\r\n" }.join}\r\n#{body}")
      answer
    end

    def close = @socket.close

    private

    def connect
      @socket = TCPSocket.new("127.0.0.1", @port)
      @socket.setsockopt(Socket::IPPROTO_TCP, Socket::TCP_NODELAY, 1)
    end

    def answer
      head = @socket.gets("\r\n\r\n")
      @socket.read(head[/^content-length: (\d+)/i, 1].to_i)
      reopen if head.match?(/^connection: close/i)
      head[%r{\AHTTP/1.1 (\d+)}, 1]
    end

    def reopen
      close
      connect
    end
  end
end
