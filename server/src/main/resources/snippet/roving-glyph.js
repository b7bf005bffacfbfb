// Plays the animated SVG within it: when it is there, seen, hovered, pressed, or with scrolling.
// Without this script, and where less motion is asked for, the SVG does as it does by itself.
customElements.get('roving-glyph') ||
  customElements.define(
    'roving-glyph',
    class extends HTMLElement {
      connectedCallback() {
        if (document.readyState === 'loading') {
          // Of a second one on a page not all is there yet.
          addEventListener('DOMContentLoaded', () => this.connectedCallback(), { once: true });
          return;
        }
        this.svg = this.querySelector('svg');
        if (!this.svg || matchMedia('(prefers-reduced-motion: reduce)').matches) return;
        this.time = 0;
        this.playing = false;
        this.length = Number(this.getAttribute('length'));
        this.last = Number(this.getAttribute('last'));
        this.total = this.length * (Number(this.getAttribute('times')) || Infinity);
        this.ended = new AbortController();
        const how = this.getAttribute('plays');
        this.dress(how);
        // The styles of what was just put in have to hold before there is anything to play.
        requestAnimationFrame(() => this.isConnected && this.begin(how));
      }

      disconnectedCallback() {
        this.pause();
        this.seen?.disconnect();
        this.ended?.abort();
      }

      // Pages may set --roving-speed; 1 is as it was made.
      get speed() {
        return Number(getComputedStyle(this).getPropertyValue('--roving-speed')) || 1;
      }

      motions() {
        return this.svg.getAnimations({ subtree: true });
      }

      // Shows a time in seconds, and stays there.
      seek(time) {
        this.time = time;
        for (const a of this.motions()) {
          a.pause();
          a.currentTime = time * 1000;
        }
        this.svg.pauseAnimations();
        this.svg.setCurrentTime(time);
      }

      play() {
        if (this.playing || !this.svg) return;
        if (this.time >= this.total) this.time = 0;
        this.seek(this.time);
        this.playing = true;
        const speed = this.speed;
        for (const a of this.motions()) {
          a.playbackRate = speed;
          a.play();
        }
        // SMIL knows one speed alone.
        if (speed === 1) this.svg.unpauseAnimations();
        const begun = performance.now() - (this.time / speed) * 1000;
        const step = (now) => {
          if (!this.playing) return;
          this.time = Math.max(0, ((now - begun) / 1000) * speed);
          if (this.time >= this.total) return this.end();
          if (speed !== 1) this.svg.setCurrentTime(this.time);
          requestAnimationFrame(step);
        };
        requestAnimationFrame(step);
        this.say();
      }

      pause() {
        if (!this.playing) return;
        this.playing = false;
        this.seek(this.time);
        this.say();
      }

      // The last frame stays.
      end() {
        this.playing = false;
        this.seek(this.last);
        this.time = this.total;
        this.say();
      }

      begin(how) {
        this.seek(0);
        const on = (type, run, target = this) =>
          target.addEventListener(type, run, { signal: this.ended.signal, passive: true });
        const toggle = () => (this.playing ? this.pause() : this.play());
        if (how === 'seen') {
          this.seen = new IntersectionObserver(
            (entries) => (entries.at(-1).isIntersecting ? this.stopped || this.play() : this.pause()),
            { threshold: 0.2 },
          );
          this.seen.observe(this);
        } else if (how === 'hover') {
          on('pointerenter', (e) => e.pointerType !== 'touch' && this.play());
          on('pointerleave', (e) => e.pointerType !== 'touch' && this.pause());
          on('pointerup', (e) => e.pointerType === 'touch' && toggle());
          on('focus', () => this.play());
          on('blur', () => this.pause());
        } else if (how === 'press') {
          on('click', toggle);
          this.addEventListener(
            'keydown',
            (e) => {
              if (e.key !== 'Enter' && e.key !== ' ') return;
              e.preventDefault();
              toggle();
            },
            { signal: this.ended.signal },
          );
        } else if (how === 'scroll') {
          const follow = () => {
            const box = this.getBoundingClientRect();
            const gone = (innerHeight - box.top) / (innerHeight + box.height);
            this.seek(Math.min(Math.max(gone, 0), 1) * this.last);
          };
          on('scroll', follow, document);
          on('resize', follow, window);
          follow();
        } else {
          this.play();
        }
      }

      // A button to stop it where it goes on by itself for more than five seconds (WCAG 2.2.2).
      dress(how) {
        if (this.shadowRoot) return;
        const room = this.attachShadow({ mode: 'open' });
        room.innerHTML =
          '<style>:host{display:block;position:relative}button{position:absolute;right:8px;bottom:8px;' +
          'width:32px;height:32px;padding:0;border:0;border-radius:6px;background:#0009;cursor:pointer}' +
          'button svg{display:block;margin:auto}button:focus-visible{outline:2px solid #fff}</style><slot></slot>';
        if (how === 'hover' || how === 'press') this.tabIndex = 0;
        if (how === 'press') this.setAttribute('role', 'button');
        if (!['load', 'seen'].includes(how) || this.total <= 5) return;
        this.button = document.createElement('button');
        this.button.addEventListener('click', () => {
          this.stopped = this.playing;
          if (this.playing) this.pause();
          else this.play();
        });
        room.append(this.button);
        this.say();
      }

      say() {
        if (!this.button) return;
        this.button.setAttribute('aria-label', this.playing ? 'Pause' : 'Play');
        const shape = this.playing ? 'M5 4h3v10H5zM10 4h3v10h-3z' : 'M6 4l8 5-8 5z';
        this.button.innerHTML = `<svg width="18" height="18" aria-hidden="true"><path d="${shape}" fill="#fff"/></svg>`;
      }
    },
  );
