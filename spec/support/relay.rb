# frozen_string_literal: true

require "socket"

# A line between browser and server that a spec can cut: while it is cut nothing listens, and what was open is closed.
# (Taking the browser itself offline does not reach what its service worker fetches.)
class Relay
  attr_reader :port

  def initialize(to)
    @to = to
    @open = []
    @lock = Mutex.new
    restore
  end

  def cut
    @listener.close
    @lock.synchronize { @open.each { |socket| quietly { socket.close } } && @open.clear }
  end

  def restore
    @listener = TCPServer.new("127.0.0.1", @port || 0)
    @port = @listener.addr[1]
    Thread.new(@listener) { |listener| accept(listener) }
  end

  def close = cut

  private

  def accept(listener)
    loop { Thread.new(listener.accept) { |near| quietly { join(near) } } }
  rescue IOError, Errno::EBADF
    nil # cut
  end

  def join(near)
    far = TCPSocket.new("127.0.0.1", @to)
    @lock.synchronize { @open.push(near, far) }
    [Thread.new { quietly { pass(near, far) } }, Thread.new { quietly { pass(far, near) } }].each(&:join)
  end

  def pass(from, into)
    loop { into.write(from.readpartial(16_384)) }
  ensure
    [from, into].each { |socket| quietly { socket.close } }
  end

  # A line that is cut fails in many ways.
  def quietly
    yield
  rescue IOError, SystemCallError
    nil
  end
end
